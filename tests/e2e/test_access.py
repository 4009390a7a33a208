"""Every page for every hand and eye: what a screen reader needs, what fits a small screen, what is printed."""

import os
from collections.abc import Iterator
from io import BytesIO
from pathlib import Path

import pytest
from playwright.sync_api import Page
from pypdf import PdfReader

from demo import people

AXE = (Path(__file__).parents[2] / "web/node_modules/axe-core/axe.min.js").read_text()
CHOIR, FERRY, _, TWO, SUIT = (str(order["title"]) for order in people.ORDERS)
STATIONS = ("measure", "design", "cloth", "lay", "mark", "check", "sewing", "fitting")
DEEP = bool(os.environ.get("PLAVET_DEEP"))
SIZES = [(1280, 800), (390, 844), *([(820, 1180)] if DEEP else [])]
SMALL = [(640, 400), (844, 390), (820, 1180)]
ROOMS = (
    "/", "/new", "/shelf", "/shelf/buy", "/week", "/week/hours", "/money", "/money/quick", "/money/prices", "/reminders", "/clients", "/clients/first", "/methods", "/practice", "/people", "/people/learned",
    "/people/seen", "/settings", "/patterns", f"{TWO}/others", f"{CHOIR}/money", f"{CHOIR}/files", f"{CHOIR}/card", f"{CHOIR}/calls", "/nowhere",
)  # fmt: skip
JOBS = tuple(f"{title}/{station}" for title in ((CHOIR, SUIT) if DEEP else (CHOIR,)) for station in STATIONS)


def addresses(page: Page) -> Iterator[str]:
    """Every page of the demo by its address."""
    orders = page.evaluate("fetch('/api/orders').then((answer) => answer.json())")
    clients = page.evaluate("fetch('/api/clients').then((answer) => answer.json())")
    for where in (*ROOMS, *JOBS):
        title, _, rest = where.rpartition("/")
        found = [order["id"] for order in orders if order["title"] == title]
        yield f"/orders/{found[0]}/{rest}" if found else where.replace("first", clients[0]["id"])


def opened(page: Page, address: str) -> None:
    page.goto(address)
    page.locator("h1").first.wait_for(state="attached")
    # Where a search waits for the queue the page asks again and again: what is awaited is its own words.
    page.wait_for_function("() => !/Fetching|Drafting|Laying|Reckoning|One moment/.test(document.body.innerText)")
    page.wait_for_timeout(300)


UNSTACKED = r"""() => {
    const said = document.createTreeWalker(document.querySelector("main"), NodeFilter.SHOW_TEXT);
    const found = [];
    for (let one = said.nextNode(); one; one = said.nextNode()) {
        if (one.parentElement.closest("textarea, code, script, style")) continue;
        const fraction = !one.parentElement.closest("option") && /\d\s*\/\s*\d/.test(one.data);
        if (fraction || /\d in\b|\d ?"|[\w)] [x\/] [\w(]/.test(one.data)) found.push(one.data.slice(0, 80));
    }
    return found;
}"""
"""Texts in which a fraction is not stacked, an inch is not ″, or a sum is written with letters for signs."""


SMALL_PRINT = """() => {
    const found = new Set();
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let one = walk.nextNode(); one; one = walk.nextNode()) {
        const parent = one.parentElement;
        if (!one.data.trim() || parent.closest("[data-unseen], option, datalist, script, style")) continue;
        if (!parent.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
        const drawn = parent.getScreenCTM?.();
        const size = parseFloat(getComputedStyle(parent).fontSize) * (drawn ? Math.hypot(drawn.a, drawn.b) : 1);
        if (size > 0.01 && size < 13.9) found.add(`${size.toFixed(1)} px: ${one.data.slice(0, 30)}`);
    }
    return [...found];
}"""
"""Letters under 14 px as they are seen, in drawings too."""


NARROW = """() => [...document.querySelectorAll("a, button, input, select, summary, textarea, [role=slider]")]
    .filter((one) => one.checkVisibility({ visibilityProperty: true }))
    // A link within a sentence is as high as its line.
    .filter((one) => one.tagName !== "A" || one.parentElement.textContent.trim() === one.textContent.trim())
    .map((one) => [one, (/radio|checkbox/.test(one.type) && one.closest("label")) || one])
    .filter(([, box]) => Math.min(box.getBoundingClientRect().width, box.getBoundingClientRect().height) < 43.5)
    .map(([one]) => `${one.tagName} ${(one.getAttribute("aria-label") || one.textContent).slice(0, 40)}`)"""
"""What is pressed or typed in and is smaller than a finger."""


def wrong(page: Page) -> list[str]:
    """What the rules of accessibility find on the page, with the first place of each."""
    page.evaluate(AXE)
    found = page.evaluate(
        """async () => {
            const { violations } = await window.axe.run(document, { resultTypes: ["violations"] });
            return violations.map((one) => `${one.id}: ${one.nodes[0].html.slice(0, 160)} (${one.nodes.length})`);
        }"""
    )
    return list(found)


REACHED = """() => {
    const lost = [];
    const named = (one) => `${one.tagName} ${(one.getAttribute("aria-label") || one.textContent || one.name).slice(0, 50)}`;
    for (const one of document.querySelectorAll("a, button, input, select, summary, textarea")) {
        if (!one.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
        one.scrollIntoView({ block: "center", inline: "center", behavior: "instant" });
        const { left, right, top, bottom, width, height } = one.getBoundingClientRect();
        const [x, y] = [(left + right) / 2, (top + bottom) / 2];
        const inside = x >= 0 && x <= innerWidth && y >= 0 && y <= innerHeight;
        const over = inside && document.elementFromPoint(x, y);
        if (!inside) lost.push(`${named(one)} is at ${Math.round(x)}, ${Math.round(y)}`);
        else if (over && !one.contains(over) && !over.contains(one)) lost.push(`${named(one)} is under ${named(over)}`);
        else if (width > innerWidth || height > innerHeight) lost.push(`${named(one)} is larger than the screen`);
    }
    return lost;
}"""
"""What is pressed or typed in and cannot be reached on this screen, however one scrolls."""


SIDEWAYS = """() => [...document.querySelectorAll("main *")]
    .filter((one) => /auto|scroll/.test(getComputedStyle(one).overflowY) && one.scrollWidth > one.clientWidth + 1)
    .filter((one) => !one.closest("[role=region]") && one.firstElementChild?.tagName !== "TABLE")
    .map((one) => `${one.scrollWidth - one.clientWidth} px of ${one.textContent.slice(0, 40)}`)"""
"""What scrolls down and is wider than its place: a part of it is under what is beside it."""


READ = """() => {
    const unread = "select, datalist, [data-unseen], [data-unseen] *, button:not([data-paper]) *";
    const words = [];
    const walk = document.createTreeWalker(document.querySelector("main"), NodeFilter.SHOW_TEXT);
    for (let one = walk.nextNode(); one; one = walk.nextNode()) {
        const parent = one.parentElement;
        if (!parent.closest(unread) && parent.checkVisibility()) words.push(one.data);
    }
    return words.join(" ");
}"""
"""What is read on a page; of a list only what is chosen is on paper."""


STROKES = """() => [...document.querySelectorAll("main span")]
    .filter((one) => one.textContent === "/" && !one.childElementCount && one.getBoundingClientRect().height > 0)
    .map((one) => `the stroke of ${one.closest("[aria-label]")?.getAttribute("aria-label")}`)"""
"""Strokes that are only copied along with a fraction: on paper they would cross its denominator."""


def lost_on_paper(page: Page) -> list[str]:
    """Words of the page that are not on its paper."""
    words = page.evaluate(READ)
    page.emulate_media(media="print")
    kept = set(page.evaluate(READ).split())
    strokes: list[str] = page.evaluate(STROKES)
    sheets = PdfReader(BytesIO(page.pdf(prefer_css_page_size=True))).pages
    page.emulate_media(media="screen")
    printed = "".join("".join(sheet.extract_text().split()) for sheet in sheets)
    # At the foot of every sheet is its number and what it is: of an order also whose.
    title = page.title().removesuffix(" · Plavet")
    for number, sheet in enumerate(sheets, 1):
        foot = " ".join(sheet.extract_text().split())
        assert f"{number} of {len(sheets)}" in foot, (title, number)
        assert title in foot, (title, number)
    assert len(kept) > 0.5 * len(set(words.split())), "what is pressed goes, what is read stays"
    return strokes + [word for word in kept if len(word) > 3 and word.isalpha() and word not in printed]


@pytest.mark.parametrize("light", ["light", "dark"] if DEEP else ["light"])
def test_every_page_is_for_every_hand_eye_and_printer(inside: Page, light: str):
    """No rule of accessibility is broken, no letter is under 14 px, nothing that is pressed under 44. On a small screen
    (640 by 400 is 1280 by 800 at 200 %) and a tablet all that is pressed is reached and nothing scrolls sideways. All
    that is read is printed: every ticket, every row.
    """
    page = inside
    page.emulate_media(color_scheme="dark" if light == "dark" else "light")
    broken = {}
    for address in list(addresses(page)):
        page.set_viewport_size({"width": SIZES[0][0], "height": SIZES[0][1]})
        opened(page, address)
        found = {"paper": lost_on_paper(page)}
        taller = page.evaluate("() => document.documentElement.scrollHeight - innerHeight")
        found["document"] = ["taller than the screen"] * (taller > 0 and page.locator("nav").count() > 0)
        found["cut off at its side"] = page.evaluate(SIDEWAYS)
        found["written otherwise"] = page.evaluate(UNSTACKED)
        for width, height in SIZES:
            page.set_viewport_size({"width": width, "height": height})
            found[f"rules at {width}"] = wrong(page)
            found[f"small print at {width}"] = page.evaluate(SMALL_PRINT)
            found[f"narrow at {width}"] = page.evaluate(NARROW)
        for width, height in SMALL:
            page.set_viewport_size({"width": width, "height": height})
            sideways = page.evaluate("() => document.documentElement.scrollWidth - innerWidth")
            found[f"{width} by {height}"] = page.evaluate(REACHED) + ["sideways"] * (sideways > 0)
            found[f"cut off at {width}"] = page.evaluate(SIDEWAYS)
        broken |= {(address, where): what for where, what in found.items() if what}
    assert broken == {}, "\n".join(f"{where}: {what}" for where, what in broken.items())
