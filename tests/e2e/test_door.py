"""The log-in: wrong words are said and kept, right ones open the workshop."""

import re
from base64 import b32decode

from django_otp.oath import totp
from playwright.sync_api import Page, expect

from demo import people


def test_a_wrong_password_is_said_and_the_name_stays(page):
    page.goto("/")
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill("chalk")
    page.get_by_role("button", name="Open the workshop").click()
    assert "do not belong together" in page.get_by_role("alert").inner_text()
    assert page.get_by_label("User name").input_value() == people.OWNER_NAME
    page.get_by_label("Password").fill(people.OWNER_PASSWORD)
    page.get_by_label("Password").press("Enter")
    page.get_by_text(people.WORKSHOP_NAME).first.wait_for()


def test_ones_own_password_is_changed_and_every_session_ended(inside: Page):
    page = inside
    page.get_by_role("link", name="Settings", exact=True).click()
    page.get_by_label("Password now").fill("not this one")
    page.get_by_label("New password").fill("seven tables and a bench")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("This is not your password now. Type it again.")
    page.get_by_label("Password now").fill(people.OWNER_PASSWORD)
    expect(page.get_by_label("New password")).to_have_value("seven tables and a bench")
    page.get_by_role("button", name="Change the password").click()
    expect(page.get_by_role("status").filter(has_text="It is changed.")).to_be_visible()
    page.get_by_role("button", name="Leave on every device").click()
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill("seven tables and a bench")
    page.keyboard.press("Enter")
    page.get_by_role("navigation", name="Rooms").wait_for()
    page.get_by_role("link", name="Clients").click()
    page.get_by_text("Marit Sol").first.wait_for()
    page.get_by_role("button", name="Leave").click()
    page.get_by_label("User name").wait_for()
    page.go_back()
    expect(page.get_by_label("User name")).to_be_visible()
    expect(page.get_by_text("Marit Sol")).to_have_count(0)


def test_with_a_second_step_the_app_is_asked_too(inside: Page):
    page = inside
    page.goto("/settings")
    page.get_by_role("button", name="Turn it on").click()
    secret = page.locator("code").inner_text().replace(" ", "")
    page.get_by_label("Code of your app").fill(f"{totp(b32decode(secret)):06d}")
    page.keyboard.press("Enter")
    expect(page.get_by_text("each lets you in once")).to_be_visible()
    written = page.locator("ul li").filter(has_text=re.compile(r"^[0-9a-f]{8}$")).first.inner_text()
    expect(page.get_by_text(", here")).to_be_visible()
    page.get_by_role("button", name="Leave", exact=True).click()
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill(people.OWNER_PASSWORD)
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Type the code that your app shows now")
    page.get_by_label("Code of your app").fill(written)
    page.keyboard.press("Enter")
    page.get_by_role("navigation", name="Rooms").wait_for()


def test_at_a_tablet_one_picks_oneself_and_an_owner_is_asked_for_a_second_step(inside: Page):
    page = inside
    page.goto("/settings")
    code = page.get_by_role("form", name="Short code")
    code.get_by_role("textbox", name="Short code").fill("2580")
    code.get_by_label("Password, to change it").fill(people.OWNER_PASSWORD)
    code.get_by_role("button", name="Keep the short code").click()
    expect(code.get_by_text("It is kept.")).to_be_visible()
    page.get_by_label("Where this device is").fill("Cutting table")
    page.get_by_role("button", name="Make it a tablet").click()
    expect(page.get_by_text(", this device")).to_be_visible()
    page.get_by_role("button", name="Leave", exact=True).click()
    page.get_by_role("button", name="Ebba").click()
    page.keyboard.type("0852")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_have_text("This is not your code. Type it again.")
    page.keyboard.type("2580")
    page.keyboard.press("Enter")
    page.get_by_role("navigation", name="Rooms").wait_for()
    expect(page.get_by_role("link", name="People")).to_have_count(0)
    page.goto("/settings")
    expect(page.get_by_text("You came in by your short code.")).to_be_visible()
    page.get_by_role("button", name="Leave", exact=True).click()
    page.get_by_role("button", name="With user name and password").click()
    page.get_by_label("User name").fill(people.OWNER_NAME)
    page.get_by_label("Password").fill(people.OWNER_PASSWORD)
    page.keyboard.press("Enter")
    page.get_by_role("link", name="Settings", exact=True).click()
    page.get_by_role("button", name="Take away: Cutting table").click()
    expect(page.get_by_text(", this device")).to_have_count(0)
    page.get_by_role("radio", name="Asked of all").click(force=True)
    expect(page.get_by_role("heading", name="Harbour Lane Workshop asks its owners for a second step")).to_be_visible()
    page.goto("/")
    page.get_by_role("button", name="Turn it on").click()
    secret = page.locator("code").inner_text().replace(" ", "")
    page.get_by_label("Code of your app").fill(f"{totp(b32decode(secret)):06d}")
    page.keyboard.press("Enter")
    expect(page.get_by_text("each lets you in once")).to_be_visible()
    page.get_by_role("button", name="To the Bench").click()
    page.get_by_role("link", name="Settings", exact=True).click()
    page.get_by_role("radio", name="As each wants").click(force=True)
    page.get_by_label("Password, to turn it off").fill(people.OWNER_PASSWORD)
    page.get_by_role("button", name="Turn it off").click()
    expect(page.get_by_role("button", name="Turn it on")).to_be_visible()
