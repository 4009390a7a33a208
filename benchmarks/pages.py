"""How fast the pages answer in a real browser, at a quarter of this machine's processor where it says so."""

from collections.abc import Iterator

import brotli
from playwright.sync_api import Page, Response, sync_playwright

from demo import people
from setup.__main__ import PYTHON, environment, must, serve
from setup.browser import start_browser

QUARTER = 4
KEY = """async () => {
  const times = [];
  for (let n = 0; n < 20; n++) {
    const was = document.querySelector('[data-call-n]').dataset.callN;
    const start = performance.now();
    window.dispatchEvent(new KeyboardEvent('keydown', {key: 'ArrowRight', bubbles: true}));
    while (document.querySelector('[data-call-n]').dataset.callN === was && performance.now() - start < 500)
      await new Promise(requestAnimationFrame);
    times.push(performance.now() - start);
    await new Promise((go) => setTimeout(go, 150));
  }
  return times.sort((a, b) => a - b)[10];
}"""
CHOICE = """async (wanted) => {
  const radio = [...document.querySelectorAll('input[type=radio]')].find(
    (one) => !one.checked && wanted.some((name) => one.closest('label')?.textContent.trim().startsWith(name)));
  const drawing = () => document.querySelector('[aria-label^="Draft of the"]')?.innerHTML;
  const was = drawing();
  const start = performance.now();
  radio.click();
  const until = async (holds) => {
    while (!holds() && performance.now() - start < 5000) await new Promise(requestAnimationFrame);
    return performance.now() - start;
  };
  return [await until(() => radio.checked), await until(() => drawing() !== was)];
}"""

FORGET = "from shop.plans.models import PlanRun; PlanRun._base_manager.filter(held=False).delete()"

LONG = """window.longest = 0;
new PerformanceObserver((list) => {
  for (const one of list.getEntries()) window.longest = Math.max(window.longest, one.duration);
}).observe({ type: 'longtask', buffered: true });"""


def _logged_in(page: Page) -> float:
    """
    The Bench of the demo's owner; how many kB of scripts and styles were fetched until it stands, by brotli as they are
    served. The font (34 kB) is apart: nothing waits for it.
    """
    fetched: list[int] = []

    def count(answer: Response) -> None:
        if answer.request.resource_type in ("script", "stylesheet"):
            fetched.append(len(brotli.compress(answer.body())))

    page.on("response", count)
    page.goto("/")
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill(people.OWNER_PASSWORD)
    page.get_by_label("Password").press("Enter")
    page.get_by_role("link", name="Mark").first.wait_for()
    page.remove_listener("response", count)
    return sum(fetched) / 1000


def page_times() -> Iterator[tuple[str, float, str, float | None]]:
    """Rows of what, how much, in which unit, and the goal."""
    with sync_playwright() as playwright:
        browser = start_browser(playwright)
        context = browser.new_context(base_url=serve(), viewport={"width": 1280, "height": 800})
        page = context.new_page()
        yield "first page, scripts and styles", _logged_in(page), "kB", 150
        mark = page.get_by_role("link", name="Mark").first.get_attribute("href") or ""
        page.goto(mark)
        page.locator("[data-call-n]").wait_for()
        yield "Mark answers a key", float(page.evaluate(KEY)), "ms", 100
        slow = context.new_cdp_session(page)
        slow.send("Emulation.setCPUThrottlingRate", {"rate": QUARTER})
        yield "a call, at a quarter of the processor", float(page.evaluate(KEY)), "ms", 50
        slow.send("Emulation.setCPUThrottlingRate", {"rate": 1})
        cold = context.new_page()
        cold.goto(mark)
        cold.locator("[data-call-n]").wait_for()
        opened = "() => performance.now()"
        yield "Mark, opened cold", float(cold.evaluate(opened)), "ms", 1500
        cold.goto(mark.replace("/mark", "/design"))
        cold.get_by_label("Draft of the").wait_for()
        cold.wait_for_timeout(1500)
        # What was planned before in this workshop is forgotten: the choice asks for a plan of its own.
        must([PYTHON, "manage.py", "shell", "--verbosity", "0", "-c", FORGET], environment())
        chosen, drawn = cold.evaluate(CHOICE, ["Boot cut", "Palazzo"])
        yield "a choice on Design shows as chosen", float(chosen), "ms", 100
        yield "and is drawn", float(drawn), "ms", 300
        slow = context.new_cdp_session(cold)
        slow.send("Emulation.setCPUThrottlingRate", {"rate": QUARTER})
        cold.add_init_script(LONG)
        for station in ("measure", "design", "cloth", "lay", "mark", "check"):
            cold.goto(mark.replace("/mark", f"/{station}"))
            cold.wait_for_timeout(4000)
            yield f"longest task, {station}, at a quarter", float(cold.evaluate("window.longest")), "ms", 100
        browser.close()
