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
