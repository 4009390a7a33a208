"""A fitting: what is seen, what is pinned, the cures on the client's own draft; kept, seen on Design, and dropped."""

import re

from playwright.sync_api import Page, expect
from pypdfium2 import PdfDocument


def test_a_cure_is_tried_kept_seen_in_the_draft_and_dropped(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    # Something is sewn: what is found now can be altered.
    page.get_by_role("link", name="7 Sew").click()
    page.get_by_role("button", name=re.compile(": done$")).first.click()
    expect(page.get_by_text(re.compile("^1 of .* steps done"))).to_be_visible()
    page.get_by_role("link", name="8 Fit").click()
    expect(page.get_by_role("heading", name="Fitting of Marit Sol: Choir, concert palazzo")).to_be_visible()
    page.get_by_role("radio", name="From behind").check(force=True)
    page.get_by_role("radio", name=re.compile("The seat is tight")).check(force=True)
    page.get_by_label("Pinned").fill("a bit")
    page.get_by_role("button", name="Try the cures").click()
    expect(page.get_by_text("Type it like 38 1/2")).to_be_visible()
    expect(page.get_by_label("Pinned")).to_have_value("a bit")
    # By the keyboard.
    page.get_by_label("Pinned").fill("1/2")
    page.get_by_label("Pinned").press("Enter")
    expect(page.get_by_role("heading", name="First: More back tip")).to_be_visible()
    row = page.get_by_role("row").filter(has_text="Back, tip").first
    expect(row).to_contain_text("from the fitting of")
    page.get_by_role("button", name=re.compile("Keep for Marit Sol.s drafts")).first.click()
    expect(page.get_by_text("Kept: More back tip.")).to_be_visible()
    found = page.get_by_role("region", name="Found at fittings")
    expect(found.get_by_text("The seat is tight, cloth pulls into the back")).to_be_visible()
    url = page.url
    page.goto(url.replace("/fitting", "/design"))
    page.get_by_text("Crotch", exact=True).first.click()
    expect(page.get_by_text(re.compile("from the fitting of")).first).to_be_attached()
    page.get_by_role("link", name="7 Sew").click()
    expect(page.get_by_role("heading", name="After the fitting: 0 of 1 done")).to_be_visible()
    page.get_by_role("button", name="Let the inner leg out at the fork: done").click()
    expect(page.get_by_role("heading", name="After the fitting: 1 of 1 done")).to_be_visible()
    page.goto(url)
    page.get_by_role("button", name="Drop: More back tip").click()
    expect(found.get_by_text(re.compile("dropped"))).to_be_visible()


def test_a_leg_that_is_longer_is_chalked_measured_and_sewn_by_its_own_length(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="8 Fit").click()
    url = page.url
    page.get_by_role("radio", name="From behind").check(force=True)
    page.get_by_role("radio", name=re.compile("The seat is tight")).check(force=True)
    # What is sewn to its twin is never of one side.
    expect(page.get_by_role("radio", name="Left alone")).to_have_count(0)
    page.get_by_role("radio", name="From the side").check(force=True)
    page.get_by_role("radio", name="Too short").check(force=True)
    page.get_by_role("radio", name="Left alone").check(force=True)
    page.get_by_label("Pinned").fill("3/4")
    page.get_by_label("Pinned").press("Enter")
    page.get_by_role("button", name="For this garment alone").click()
    expect(page.get_by_text("Kept: Longer.")).to_be_visible()
    page.goto(url.replace("/fitting", "/mark"))
    expect(page.get_by_text("Call 1 of 44, right front; piece 1 of 5")).to_be_visible()
    expect(page.get_by_text("The sides differ: each of their pieces has calls of its own")).to_be_visible()
    page.goto(url.replace("/fitting", "/sewing"))
    hem = page.get_by_role("img", name=re.compile("right front, right back, left front, left back: hem", re.I))
    expect(hem).to_be_visible()
    card = page.get_by_role("link", name="The card, to print").get_attribute("href")
    assert "Left front" in words_on(page.request.get(card).body())
    page.goto(url)
    page.get_by_role("button", name="Drop: Longer").click()
    expect(
        page.get_by_role("region", name="Found at fittings").get_by_text(re.compile("dropped")).first
    ).to_be_visible()
    page.goto(url.replace("/fitting", "/mark"))
    expect(page.get_by_role("button", name="Chalked, next mark")).to_be_visible()
    expect(page.get_by_text(re.compile("Call 1 of .*, front;"))).to_be_visible()


def words_on(sheet: bytes) -> str:
    """What a PDF says, read by another library."""
    return "\n".join(page.get_textpage().get_text_range() for page in PdfDocument(sheet))
