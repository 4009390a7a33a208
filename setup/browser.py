"""The browser of the tests, the pictures and the measurements: Debian's headless Chromium, which draws no window."""

from playwright.sync_api import Browser, Playwright

PROGRAM = "/usr/bin/chromium-headless-shell"
FLAGS = [
    "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
    "--disable-component-update", "--disable-sync",
]  # fmt: skip


def start_browser(playwright: Playwright) -> Browser:
    """It, started; whoever asks closes it."""
    return playwright.chromium.launch(executable_path=PROGRAM, args=FLAGS)
