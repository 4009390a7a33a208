"""A real Chromium against a live server; any breach of the content policy, error or foreign request fails."""

import os
import time
from collections.abc import Callable, Iterator

import pytest
from django.core.signals import request_finished, request_started
from django.db import connections
from playwright.sync_api import Browser, Page, expect, sync_playwright
from procrastinate.contrib.django import app
from pytest_django.live_server_helper import LiveServer

from demo import people
from demo.load import load
from setup.browser import start_browser
from tests.rows import Rows

os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "1"
expect.set_options(timeout=30_000)  # how long is waited on a busy machine, not how fast a page is


@pytest.fixture(scope="session")
def browser() -> Iterator[Browser]:
    with sync_playwright() as playwright:
        browser = start_browser(playwright)
        yield browser
        browser.close()


@pytest.fixture(scope="session")
def rows(django_db_setup, django_db_blocker) -> Rows:
    """The demo, loaded once."""
    with django_db_blocker.unblock():
        load()
        return Rows()


@pytest.fixture
def transactional_db(rows: Rows, django_db_blocker) -> Iterator[None]:
    """In place of an emptied database one with the demo; what a test writes stays until the next begins."""
    with django_db_blocker.unblock():
        rows.put_back()
        yield


@pytest.fixture(scope="session")
def server(django_db_setup) -> Iterator[LiveServer]:
    """A server in this process, in its own thread."""
    server = LiveServer("localhost")
    yield server
    server.stop()


@pytest.fixture
def complaints() -> list[str]:
    """What went wrong in the page; a test that provokes an error clears what it expects."""
    return []


def said(line: str) -> bool:
    """The browser notes every refusal of the server; those that the page puts into words are no fault."""
    return "Failed to load resource" in line and any(f"status of {code}" in line for code in (401, 404, 409, 422))


@pytest.fixture
def page(browser: Browser, server: LiveServer, transactional_db, complaints: list[str]) -> Iterator[Page]:
    context = browser.new_context(base_url=server.url, viewport={"width": 1280, "height": 800})
    context.set_default_timeout(30_000)
    page = context.new_page()
    page.on("pageerror", lambda error: complaints.append(f"uncaught: {error}"))
    page.on(
        "console", lambda line: complaints.append(line.text) if line.type == "error" and not said(line.text) else None
    )
    page.on("request", lambda r: complaints.append(r.url) if not r.url.startswith((server.url, "data:")) else None)
    yield page
    context.close()
    wait_until_idle()
    assert complaints == []


class Asked:
    """How many requests the server is at work on; it runs in this process."""

    def __init__(self) -> None:
        self.open = 0
        request_started.connect(self.begin, weak=False)
        request_finished.connect(self.end, weak=False)

    def begin(self, **_: object) -> None:
        self.open += 1

    def end(self, **_: object) -> None:
        self.open -= 1


ASKED = Asked()


def wait_until_idle() -> None:
    """The server goes on with what a closed page had asked for; its tables are emptied only when that has ended."""
    quiet = 0
    for _ in range(400):
        quiet = quiet + 1 if ASKED.open <= 0 else 0
        if quiet == 6:
            return
        time.sleep(0.05)


@pytest.fixture
def inside(page: Page) -> Page:
    """The page with the demo owner logged in."""
    page.goto("/")
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill(people.OWNER_PASSWORD)
    page.get_by_label("Password").press("Enter")
    page.get_by_role("navigation", name="Rooms").wait_for()
    return page


@pytest.fixture
def worker() -> Callable[..., None]:
    """A worker of one queue, to be run in a thread: it ends when nothing is left to do."""

    def work(queue: str = "lay") -> None:
        own = app.with_connector(app.connector.get_worker_connector())
        own.run_worker(queues=[queue], wait=False, install_signal_handlers=False, listen_notify=False)
        connections.close_all()

    return work
