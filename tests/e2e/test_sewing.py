"""Sewing: steps in an order that can be sewn, ticked by whom; what comes too early is said where it was pressed."""

import re

from playwright.sync_api import Page, expect


def test_an_order_is_sewn_step_by_step(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("link", name="7 Sew").click()
    expect(page.get_by_role("heading", name="Sewing of Marit Sol: Choir, concert palazzo")).to_be_visible()
    count = int(re.search(r"of (\d+) steps", page.get_by_text("steps done").inner_text())[1])
    expect(page.get_by_role("img", name="Front, Back: close the sides")).to_be_visible()
    page.get_by_role("button", name="Close the inner legs: done").click()
    step = page.get_by_role("listitem").filter(has=page.get_by_role("heading", name="Close the inner legs"))
    expect(step.get_by_text(re.compile("First: close the front centre"))).to_be_visible()
    # By the keyboard, from the first step on; the hip is measured, not ticked.
    for k in range(4):
        button = page.get_by_role("button", name=re.compile(": done$")).first
        button.focus()
        page.keyboard.press("Enter")
        expect(page.get_by_text(f"{k + 1} of {count} steps done")).to_be_visible()
    expect(page.get_by_text("Done by Ebba")).to_have_count(4)
    page.reload()
    expect(page.get_by_text(f"4 of {count} steps done")).to_be_visible()
    page.get_by_role("button", name="Sew the darts: unpick").click()
    expect(page.get_by_text(re.compile("Unpick first what is sewn on it: close the front centre"))).to_be_visible()
    page.get_by_role("button", name="Close the back centre: unpick").click()
    expect(page.get_by_text(f"3 of {count} steps done")).to_be_visible()
    page.get_by_role("button", name="Close the back centre: done").click()
    page.get_by_role("button", name="Close the sides: done").click()
    hip = page.get_by_role("form", name="Measure the hip as it is sewn")
    hip.get_by_label("Hip round reads").fill("14")
    hip.get_by_label("Hip round reads").press("Enter")
    expect(page.get_by_text(re.compile("look whether two figures changed places"))).to_be_visible()
    expect(hip.get_by_label("Hip round reads")).to_have_value("14")
    hip.get_by_label("Hip round reads").fill("40")
    hip.get_by_role("button", name="It reads so").click()
    expect(hip.get_by_text(re.compile("Let the sides out by"))).to_be_visible()
    expect(page.get_by_text(f"6 of {count} steps done")).to_be_visible()
    card = page.get_by_role("link", name="The card, to print").get_attribute("href")
    assert page.request.get(card).body().startswith(b"%PDF")
