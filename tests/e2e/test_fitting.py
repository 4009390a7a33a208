"""A fitting: what is seen, what is pinned, the cures on the client's own draft; kept, seen on Design, and dropped."""

import re

from playwright.sync_api import Page, expect


def test_a_cure_is_tried_kept_seen_in_the_draft_and_dropped(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
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
