"""An apprentice works out numbers before they are shown, by the tape and by typing; the owner sees what is learned."""

import re

from playwright.sync_api import Page, expect


def test_a_rule_is_practised_on_eight_clients_and_the_owner_sees_it(inside: Page):
    page = inside
    page.get_by_role("link", name="Methods").click()
    page.get_by_role("link", name="Practise it").click()
    page.get_by_label("What is asked").select_option(label="Front, crotch extension, on several")
    expect(page.get_by_role("heading", name="Front, crotch extension")).to_be_visible()
    for n in range(1, 9):
        page.get_by_text(f"{n} of 8").wait_for()
        card = page.get_by_role("table").text_content()
        whole, over, under = re.search(r"(?<!to )hip(\d+)(?: (\d)/(\d))?″", card).groups("0")
        hip = int(whole) + int(over) / max(int(under), 1)
        if n == 1:
            # Put the thumb on the tape by the keys: an eighth of the hip, as a hand has it that halved once too little.
            tape = page.get_by_role("slider")
            tape.focus()
            for _ in range(round(hip / 8)):
                page.keyboard.press("ArrowUp")
            for _ in range(2):
                page.keyboard.press("ArrowRight")
            expect(page.get_by_label("Mine, in inches")).to_have_value(f"{round(hip / 8)} 1/8")
            page.get_by_role("button", name="Show the rule").click()
            expect(page.get_by_text("hip ÷ 16")).to_be_visible()
        page.get_by_label("Mine, in inches").fill(f"{hip / 8 if n == 1 else hip / 16}")
        page.get_by_label("Mine, in inches").press("Enter")
        if n == 1:
            expect(page.get_by_role("alert")).to_contain_text("It looks like twice as much")
        else:
            expect(page.get_by_text("It is the same")).to_be_visible()
        page.get_by_role("button", name="Next" if n < 8 else "How it went").press("Enter")
    expect(page.get_by_text("7 of 8 right.")).to_be_visible()
    expect(page.get_by_text("7 of 8 right, learned")).to_be_visible()
    page.get_by_role("link", name="People").click()
    page.get_by_role("link", name="What is learned").click()
    expect(page.get_by_text("1 of 1 rules learned; 7 of 8 answers right")).to_be_visible()
    page.get_by_role("button", name="Rule by rule").click()
    expect(page.get_by_role("img", name="the last first: right, right, right, right, right")).to_be_visible()
