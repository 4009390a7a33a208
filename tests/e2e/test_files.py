"""What leaves the screen is fetched from its page."""

import re
from io import BytesIO
from pathlib import Path

import numpy as np
from PIL import Image
from playwright.sync_api import Page, expect
from zxingcpp import read_barcodes

SQUARE = np.array([(0, 0), (254, 0), (254, 254), (0, 254)], float)


def test_a_pattern_is_fetched_and_a_card_opened(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    expect(page.get_by_role("heading", name="Files of Marit Sol: Choir, concert palazzo")).to_be_visible()
    expect(page.get_by_role("img", name="Pattern on A4, drawn small")).to_be_visible()
    with page.expect_download() as coming:
        page.get_by_role("link", name="Fetch the file Pattern on A4").click()
    assert coming.value.suggested_filename == "choir-concert-palazzo-pattern-a4.pdf"
    assert Path(coming.value.path()).read_bytes().startswith(b"%PDF")
    with page.context.expect_page() as opened:
        page.get_by_role("link", name="Open the card").first.click()
    card = opened.value
    expect(card.get_by_role("heading", name="calls")).to_be_visible()
    # A telephone reads the code of the second piece as the address of its first call.
    code = card.get_by_alt_text(re.compile("^Opens call")).nth(1)
    code.scroll_into_view_if_needed()
    (read,) = read_barcodes(Image.open(BytesIO(code.screenshot())).resize((264, 264)))
    first = int(re.search(r"\d+", code.get_attribute("alt"))[0])
    assert re.fullmatch(rf"{re.escape(card.url.partition('/orders/')[0])}/orders/[^/]+/mark\?call={first}", read.text)
    page.goto(read.text)
    expect(page.locator(f"[data-call-n='{first}']")).to_be_visible()


def test_a_link_opens_the_plan_for_somebody_without_an_account(inside: Page, browser):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    page.get_by_role("button", name="Make a link").click()
    address = page.get_by_label(re.compile("^Until")).input_value()
    elsewhere = browser.new_context(viewport={"width": 390, "height": 844})
    theirs = elsewhere.new_page()
    theirs.goto(address)
    expect(theirs.get_by_role("heading", name="Choir, concert palazzo")).to_be_visible()
    expect(theirs.get_by_role("img", name="Front, drawn")).to_be_visible()
    expect(theirs.get_by_text("Marit Sol")).to_have_count(0)
    theirs.goto(address[:-2])
    expect(theirs.get_by_text("This link has ended, or was never one")).to_be_visible()
    elsewhere.close()


def thrown(corners):
    """What takes the square of 10 in to its corners on the screen, by least squares of the four pairs."""
    rows = []
    for (x, y), (u, v) in zip(SQUARE, corners, strict=True):
        rows += [[x, y, 1, 0, 0, 0, -u * x, -u * y, -u], [0, 0, 0, x, y, 1, -v * x, -v * y, -v]]
    return np.linalg.svd(np.array(rows))[2][-1].reshape(3, 3)


def seen(h, points):
    there = np.c_[points, np.ones(len(points))] @ h.T
    return there[:, :2] / there[:, 2:]


def drag(page, start, end):
    page.mouse.move(*start)
    page.mouse.down()
    page.mouse.move(*end, steps=4)
    page.mouse.up()


def finely(points):
    """A closed outline with a point at least every 4 mm."""
    ends = np.roll(points, -1, axis=0)
    return np.concatenate([
        a + (b - a) * np.linspace(0, 1, max(2, int(np.hypot(*(b - a)) / 4)), endpoint=False)[:, None]
        for a, b in zip(points, ends, strict=True)
    ])  # fmt: skip


def assert_chalked(page, outline):
    """On the screen there is chalk within 2 px of every point of an outline that it shows, beside what is written."""
    picture = np.asarray(Image.open(BytesIO(page.screenshot())).convert("L")) > 110
    high, wide = picture.shape
    shown = [
        (int(x), int(y)) for x, y in outline if 3 < x < wide - 3 and 3 < y < high - 3 and not (x < 470 and y < 330)
    ]
    missed = [(x, y) for x, y in shown if not picture[y - 2 : y + 3, x - 2 : x + 3].any()]
    assert len(shown) > 80
    assert missed == []


def test_a_piece_is_thrown_in_true_size_at_two_calibrations(inside: Page):
    """Straight above the table, then askew: where its outline is on the screen is worked out here once more."""
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="Files").click()
    page.get_by_role("link", name="Open the projector page").click()
    order = re.search(r"/orders/([^/]+)", page.url)[1]
    made = page.evaluate(
        """(id) => fetch(`/api/orders/${id}/plan`, {method: 'POST', headers: {
            'X-CSRFToken': document.cookie.match(/csrftoken=([^;]+)/)[1]}}).then((answer) => answer.json())""", order
    )  # fmt: skip
    cut = np.array(made["plan"]["pieces"][0]["cut"])
    middle = (cut.min(axis=0) + cut.max(axis=0)) / 2
    expect(page.get_by_role("heading", name="Calibrate the projector")).to_be_visible()
    drag(page, (870, 200), (620, 200))
    corners = [(470, 200), (620, 200), (620, 350), (470, 350)]
    for third in ((620, 350), (590, 371)):
        drag(page, (620, 350), third)
        corners[2] = third
        page.get_by_role("button", name="It is right").click()
        h = thrown(corners)
        centre = seen(np.linalg.inv(h), np.array([(640, 400)]))[0]
        page.keyboard.press("b")
        expect(page.get_by_role("button", name="Turn")).to_have_count(0)
        assert_chalked(page, seen(h, finely(cut - middle + centre)))
        page.keyboard.press("b")
        expect(page.get_by_text("call 1 of")).to_be_visible()
        page.keyboard.press("c")
    page.keyboard.press("c")
    page.reload()
    expect(page.get_by_text("call 1 of")).to_be_visible()  # it was kept
    page.keyboard.press("PageDown")
    expect(page.get_by_text("call 2 of")).to_be_visible()
    upright = page.locator("path[data-role=cut]").bounding_box()
    page.keyboard.press("r")
    turned = page.locator("path[data-role=cut]").bounding_box()
    assert turned["width"] > turned["height"]
    assert upright["width"] < upright["height"]
    page.keyboard.press("l")
    expect(page.get_by_role("img", name="The lay, in true size")).to_be_visible()
