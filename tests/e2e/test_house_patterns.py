"""A pattern that another program drew is kept, cut with an order, laid beside the drafted pieces and chalked."""

import re

from playwright.sync_api import Page, expect

DRAWN = (
    '<svg xmlns="http://www.w3.org/2000/svg" width="900mm" viewBox="0 0 900 900">'
    '<path id="Back yoke" d="M20,60C60,20 100,20 140,40L260,20C270,80 280,120 300,160L20,180z"/>'
    '<path id="Belt loop" d="M400,300h300v30h-300z"/></svg>'
)


def bring(page: Page, text: str):
    page.get_by_label("The file").set_input_files(
        {"name": "deckhand.svg", "mimeType": "image/svg+xml", "buffer": text.encode()}
    )


def test_a_pattern_is_kept_and_cut_with_an_order(inside: Page):
    page = inside
    mark = page.get_by_role("link", name="Mark").first.get_attribute("href")
    page.get_by_role("link", name="Methods").click()
    page.get_by_role("link", name="House patterns").click()
    expect(page.get_by_text("None is kept yet")).to_be_visible()
    bring(page, DRAWN.replace("M400,300h300v30h-300z", "M400,300L700,330 700,300 400,330z"))
    expect(page.get_by_text("This outline crosses itself")).to_be_visible()
    expect(page.get_by_role("button", name="Keep this pattern")).to_have_count(0)
    bring(page, DRAWN)
    page.get_by_label("How, piece 1").select_option("left and right")
    expect(page.get_by_label("How often piece 1 is cut")).to_have_value("2")
    # What cannot be is said with the piece's name, and nothing that was said is lost.
    page.get_by_label("How, piece 2").select_option("on the fold, at its left side")
    page.get_by_label("Its grain runs, piece 2").select_option("across: turn it right")
    page.get_by_label("How often piece 1 is cut").fill("3")
    page.get_by_role("button", name="Keep this pattern").click()
    expect(page.get_by_text(re.compile("Back yoke: left and right"))).to_be_visible()
    page.get_by_label("How often piece 1 is cut").fill("2")
    page.get_by_label("How, piece 2").select_option("once")
    page.get_by_label("How often piece 2 is cut").fill("5")
    page.get_by_role("button", name="Keep this pattern").click()
    kept = page.get_by_role("region", name="House patterns")
    expect(kept.get_by_text("cut 2, left and right")).to_be_visible()
    expect(kept.get_by_text("cut 5")).to_be_visible()
    expect(page.get_by_role("region", name="Keep it")).to_have_count(0)

    page.goto(mark.replace("/mark", "/design"))
    page.get_by_text("House patterns: none").click()
    page.get_by_role("checkbox", name="deckhand").press("Space")
    expect(page.get_by_text("House patterns: deckhand")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_text("House patterns: none")).to_be_visible()
    page.get_by_role("button", name="Redo").click()
    expect(page.get_by_text("House patterns: deckhand")).to_be_visible()
    page.goto(mark.replace("/mark", "/lay"))
    expect(page.get_by_text("Back yoke, deckhand").first).to_be_visible()
    page.goto(mark)
    page.get_by_role("button", name="All calls").click()
    expect(page.get_by_text("Belt loop, deckhand").first).to_be_visible()
    expect(page.get_by_text(re.compile("^Corner 2")).first).to_be_visible()

    page.goto("/patterns")
    page.get_by_role("button", name="Change deckhand").click()
    expect(page.get_by_label("How often piece 2 is cut")).to_have_value("5")
    page.get_by_label("How often piece 1 is cut").fill("3")
    page.get_by_role("button", name="Keep the change").click()
    expect(page.get_by_text(re.compile("Back yoke: left and right"))).to_be_visible()
    page.get_by_label("How often piece 1 is cut").fill("4")
    page.get_by_label("Its name").fill("Deckhand, wide")
    page.get_by_role("button", name="Keep the change").click()
    expect(page.get_by_text("cut 4, left and right")).to_be_visible()
    page.goto(mark.replace("/mark", "/design"))
    page.get_by_text("House patterns: Deckhand, wide").click()
    expect(page.get_by_text("9 pieces")).to_be_visible()
    page.goto("/patterns")
    page.get_by_role("button", name="Take Deckhand, wide off the list").click()
    expect(page.get_by_text("None is kept yet")).to_be_visible()
    page.goto(mark.replace("/mark", "/design"))
    expect(page.get_by_text("House patterns: Deckhand, wide")).to_be_visible()
