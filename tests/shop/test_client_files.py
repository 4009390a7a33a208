"""Files in and out: a wrong line is refused by itself, the good ones can be kept, and what went out comes back."""

import pytest
import vobject
from hypothesis import given
from hypothesis import strategies as st

from demo import people
from shop.clients.files import read_lines
from shop.clients.models import Client, Reading
from shop.clients.vcard import Contact, read_cards, write_card

MIXED = """point,typed,way
hip,41 1/4,tape
hipp,41
waist,"31,5"
thigh,

knee,1,6
outseam,three
inseam,77.5 cm
"""


def test_a_mixed_file_is_refused_line_by_line_and_the_good_lines_kept(owner, order):
    path = f"/sheets/{order['sheet']['id']}/file"
    before = Reading._base_manager.count()
    said = owner("POST", path, {"text": MIXED})[1]
    assert (said["kept"], Reading._base_manager.count()) == (0, before)
    wrong = {line["number"]: line for line in said["lines"] if line["what"]}
    assert sorted(wrong) == [3, 5, 7, 8]
    assert "Did you mean 'hip'?" in wrong[3]["mend"]
    assert "leave the line out" in wrong[5]["mend"]
    assert "38 1/2" in wrong[8]["mend"]
    for kept in (3, 3):
        assert owner("POST", path, {"text": MIXED, "keep": True})[1]["kept"] == kept
    assert Reading._base_manager.count() == before + 3
    now = {one["key"]: one["mm"] for one in owner("GET", f"/sheets/{order['sheet']['id']}")[1]["readings"]}
    assert (now["hip"], now["waist"], now["inseam"]) == (1047.75, 800.1, 775)


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("", "no lines"), ("point,typed\n", "no lines"), ("size;value\n1;2\n", "does not name the columns"), ("{", "not a JSON"),
        ('{"a": 1}', "no readings"), ('{"readings": [3]}', "not a reading"), ("x" * 300_000, "too long"), ("[" * 5000, "not a JSON"),
    ],
)  # fmt: skip
def test_a_wrong_file_says_what_it_should_be(text, says):
    (line,) = read_lines(text)
    assert says in line.what
    assert line.mend


def test_tabs_semicolons_and_a_byte_order_mark_are_read():
    for mark in (",", ";", "\t"):
        (line,) = read_lines(f"\ufeffPoint{mark}Typed\r\nhip{mark}41 1/2\r\n")
        assert (line.point, line.typed, line.what) == ("hip", "41 1/2", "")


@given(st.text(max_size=300))
def test_no_text_breaks_the_readers(text):
    assert all(line.mend for line in read_lines(text) if line.what)
    assert all(isinstance(card, Contact) for card in read_cards("BEGIN:VCARD\n" + text))


def test_an_exported_client_is_taken_up_by_a_new_sheet(owner, order, new_id):
    whole = owner.raw("GET", f"/clients/{order['client']['id']}/export")
    table = owner.raw("GET", f"/clients/{order['client']['id']}/export?kind=csv")
    for text in (whole, table):
        made = new_id()
        owner("PUT", f"/sheets/{made}", {"client": order["client"]["id"], "taken_on": "2026-11-23", "unit": "in"})
        said = owner("POST", f"/sheets/{made}/file", {"text": text, "keep": True})[1]
        assert [line for line in said["lines"] if line["what"]] == []
        now = {one["key"]: one["mm"] for one in owner("GET", f"/sheets/{made}")[1]["readings"]}
        assert {"hip", "waist", "thigh", "knee", "outseam"} <= now.keys()
        assert now["hip"] in (1041.4, 1022.35)


def test_a_closed_sheet_takes_no_file(owner, order):
    sheet = order["sheet"]["id"]
    owner("POST", f"/sheets/{sheet}/close")
    assert owner("POST", f"/sheets/{sheet}/file", {"text": MIXED, "keep": True})[0] == 409


words = st.text(st.characters(blacklist_categories=["Cs", "Cc"], blacklist_characters="\u2028\u2029\x85"), max_size=90)


@given(words.filter(str.strip), words, words)
def test_a_card_comes_back_as_it_went_out(name, email, note):
    text = write_card(Contact(name.strip(), "+47 555 01", email.strip(), note.strip()))
    assert all(len(line.encode()) <= 75 for line in text.split("\r\n"))
    (card,) = read_cards(text)
    assert (card.name, card.phone, card.email, card.note) == (name.strip(), "+47 555 01", email.strip(), note.strip())
    assert card.problems == []


def test_another_reader_of_cards_finds_the_same():
    sent = Contact(
        "Sol, Marit; alto", "0555 014 220", "marit@choir.test", "Two lines\nand a \\ backslash, " + "long " * 30 + "end"
    )
    (read,) = vobject.readComponents(write_card(sent))
    found = [read.fn.value, read.tel.value, read.email.value, read.note.value, read.version.value]
    assert found == [sent.name, sent.phone, sent.email, sent.note, "4.0"]


CARDS = """BEGIN:VCARD\r
VERSION:3.0\r
FN:Runa Strand\r
item1.TEL;TYPE=cell:tel:0555 77\r
NOTE:sews\r
  at home\r
END:VCARD\r
BEGIN:VCARD\r
VERSION:4.0\r
TEL:0555 78\r
END:VCARD\r
BEGIN:VCARD\r
FN:Not closed\r
"""


def test_contacts_come_in_card_by_card_and_only_once(owner, order):
    said = owner("POST", "/book", {"text": CARDS})[1]
    assert [line["what"][:24] for line in said["lines"]] == ["", "The card has no name: ad", "The card does not end: E"]
    for kept in (1, 0):
        assert owner("POST", "/book", {"text": CARDS, "keep": True})[1]["kept"] == kept
    runa = Client._base_manager.get(name="Runa Strand")
    assert (runa.phone, runa.note, runa.phone_digits) == ("0555 77", "sews at home", "055577")
    book = owner.raw("GET", "/book")
    assert book.count("BEGIN:VCARD") == len(people.ORDERS) + 1
    assert owner("POST", "/book", {"text": book, "keep": True})[1]["kept"] == 0
