"""A style, its waist and pockets, a rule of the house, and two methods over each other, as a tailor would."""

import re

from playwright.sync_api import Page, expect


def test_a_style_is_made_without_a_manual_and_kept_as_a_house_rule(inside: Page):
    page = inside
    page.get_by_role("link", name="Mark").first.click()
    page.get_by_role("navigation", name="Stations").get_by_role("link", name="Design").click()
    page.get_by_text("Straight trousers").click()
    page.get_by_text("Shaped band").click()
    page.get_by_text("Fly", exact=True).click()
    page.get_by_text("Pockets", exact=True).first.click()
    page.get_by_text("Curved, in front").click()
    drawing = page.get_by_role("img", name=re.compile("^Draft of the"))
    for part in (
        "Front band",
        "Back band",
        "Front pocket bag",
        "Pocket facing",
        "Pocket backing",
        "Fly guard",
        "Belt loops",
    ):
        expect(drawing.get_by_text(part)).to_be_visible()
    page.get_by_text("House rules").click()
    page.get_by_label("These choices as").fill("Our town trousers")
    page.get_by_role("button", name="Keep").click()
    expect(page.get_by_text("Our town trousers")).to_be_visible()

    page.get_by_text("Darts", exact=True).click()
    darts = page.get_by_role("group", name="Darts in each back")
    expect(darts.locator("[data-moved=back]")).to_have_count(0)
    darts.scroll_into_view_if_needed()
    expect(darts.locator("[data-moved=back]").first).to_be_visible()
    page.get_by_label("Back yoke, deep at the centre").fill("12")
    page.get_by_label("Back yoke, deep at the centre").press("Tab")
    said = page.get_by_role("alert").filter(has_text="Choose from")
    expect(said).to_be_visible()
    assert page.get_by_label("Back yoke, deep at the centre").input_value() == "12"
    page.get_by_label("Back yoke, deep at the centre").fill("2")
    page.get_by_label("Back yoke, deep at the centre").press("Tab")
    expect(drawing.get_by_text("Yoke")).to_be_visible()
    page.get_by_role("button", name="Use", exact=True).click()
    expect(drawing.get_by_text("Yoke")).to_have_count(0)

    # Another style is looked at; taken back, the pockets are there again.
    page.get_by_text("Palazzo", exact=True).click()
    expect(page.get_by_role("radio", name="Palazzo")).to_be_checked()
    page.keyboard.press("Control+z")
    expect(page.get_by_role("radio", name="Straight trousers")).to_be_checked()
    expect(drawing.get_by_text("Front pocket bag")).to_be_visible()
    page.get_by_role("button", name="Redo").click()
    expect(page.get_by_role("radio", name="Straight trousers")).not_to_be_checked()
    page.get_by_role("button", name="Undo").click()
    expect(drawing.get_by_text("Front pocket bag")).to_be_visible()

    page.get_by_role("navigation", name="Stations").get_by_role("link", name="Lay").click()
    # The keyboard goes on in the station, not in what was left.
    expect(page.locator("#station")).to_be_focused()
    # Nor is it lost with a button that goes, or that can no longer be pressed.
    page.get_by_role("button", name="Move by hand").press("Enter")
    expect(page.locator("#station")).to_be_focused()
    page.get_by_role("button", name="Leave it as it was").press("Enter")
    expect(page.locator("#station")).to_be_focused()
    expect(page.get_by_text("Front pocket bag, cut 4, left and right")).to_be_visible()
    expect(page.get_by_text(re.compile("fly zip, 7"))).to_be_visible()
    page.get_by_role("navigation", name="Stations").get_by_role("link", name="Check").click()
    expect(page.get_by_role("heading", name=re.compile("All .* hold"))).to_be_visible()


def test_two_methods_are_laid_over_each_other_and_stepped_through(inside: Page):
    page = inside
    page.get_by_role("link", name="Methods").click()
    expect(page.get_by_text("Step 1 of")).to_be_visible()
    page.get_by_label("Laid over it").select_option("twentieth-tenth")
    table = page.get_by_role("table", name="Where they differ")
    expect(table.get_by_role("row", name=re.compile("^Front, crotch extension"))).to_contain_text("hip ÷ 20")
    page.get_by_role("button", name="Next step").click()
    expect(page.get_by_text("Step 2 of")).to_be_visible()
    page.evaluate("document.activeElement.blur()")
    page.keyboard.press("ArrowRight")
    expect(page.get_by_text("Step 3 of")).to_be_visible()
    page.keyboard.press("Home")
    expect(page.get_by_text("Step 1 of")).to_be_visible()
    page.get_by_role("combobox").first.select_option("one-piece-leg")
    expect(page.get_by_text("Step 1 of")).to_be_visible()
    expect(page.get_by_text("Rise line", exact=True).first).to_be_visible()
    page.get_by_role("combobox").nth(3).select_option(label="Marit Sol")
    expect(page.get_by_role("alert").filter(has_text="Twentieth and tenth")).to_contain_text("does not make boxers")
