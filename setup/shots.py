"""Remake docs/screenshots from the demo: one picture of each main view, two more on a phone."""

import sys

from playwright.sync_api import Page, sync_playwright

from demo import people
from setup.browser import start_browser
from setup.places import ROOT

FOLDER = ROOT / "docs/screenshots"
CHOIR, FERRY, _, _, SUIT = (str(order["title"]) for order in people.ORDERS)
WIDE: list[tuple[str, str | None, str, str]] = [
    ("bench", None, "/", "Add an order"),
    ("measure", CHOIR, "measure", "Read off the tape"),
    ("design", CHOIR, "design", "Finished with"),
    ("others", "Harbour choir, midsummer", "others", "To buy for all"),
    ("cloth", CHOIR, "cloth", "Cloth to buy"),
    ("mark", CHOIR, "mark?call=11", "Crotch point"),
    ("lay", FERRY, "lay", "This lay"),
    ("check", CHOIR, "check", "hold"),
    ("files", SUIT, "files", "pages,"),
    ("sewing", SUIT, "sewing", "steps done"),
    ("fitting", CHOIR, "fitting", "What is seen"),
    ("client", None, "/clients/first", "Everything about"),
    ("shelf", None, "/shelf", "Navy twill"),
    ("week", None, "/week", "Could we promise it?"),
    ("money", "Brass band, march trousers", "money", "To be paid"),
    ("methods", None, "/methods", "Where they differ"),
    ("practice", None, "/practice?method=quarter-hip&style=straight-trousers", "Show the rule"),
]
PHONE = [view for view in WIDE if view[0] in ("measure", "mark")]


def _take(page: Page, name: str, title: str | None, where: str, wait: str) -> None:
    address = where
    if title:
        orders = page.evaluate("fetch('/api/orders').then((answer) => answer.json())")
        found = next(order["id"] for order in orders if order["title"] == title)
        address = f"/orders/{found}/{where}"
    if where == "/clients/first":
        first = page.evaluate("fetch('/api/clients').then((answer) => answer.json())")
        address = f"/clients/{next(one['id'] for one in first if one['name'] == people.ORDERS[0]['client'])}"
    page.goto(address)
    page.get_by_text(wait).first.wait_for()
    if where == "fitting":
        page.get_by_text("From behind").click()
        page.locator("label").filter(has_text="The seat is tight").click()
        page.get_by_label("Pinned").fill("1/2")
        page.get_by_role("button", name="Try the cures").click()
        page.get_by_text("First:").wait_for()
    if where == "files":
        # Each picture is made when it is looked at, one after the other.
        page.wait_for_load_state("networkidle")
    page.wait_for_timeout(2500)
    page.screenshot(path=FOLDER / f"{name}.png")
    print(f"docs/screenshots/{name}.png")


def main(address: str) -> int:
    FOLDER.mkdir(parents=True, exist_ok=True)
    with sync_playwright() as playwright:
        browser = start_browser(playwright)
        for views, width, height, ending in ((WIDE, 1280, 800, ""), (PHONE, 390, 844, "-phone")):
            context = browser.new_context(base_url=address, viewport={"width": width, "height": height})
            page = context.new_page()
            page.goto("/")
            page.get_by_label("User name").fill(people.OWNER_NAME)
            page.get_by_label("Password").fill(people.OWNER_PASSWORD)
            page.get_by_label("Password").press("Enter")
            page.get_by_text("Add an order").wait_for()
            for name, title, where, wait in views:
                _take(page, name + ending, title, where, wait)
            context.close()
        browser.close()
    return 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1]))
