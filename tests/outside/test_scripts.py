"""Names in scripts that are shaped or read from the right, on paper: looked at as ink, and as the fonts' own outlines."""

from io import BytesIO
from zipfile import ZipFile

import numpy as np
import pdfplumber
import pypdfium2
import pytest
from fontTools import unicodedata
from fontTools.pens.boundsPen import BoundsPen
from fontTools.ttLib import TTFont
from pdfminer.pdftypes import resolve1
from reportlab.pdfgen.canvas import Canvas
from scipy import ndimage

from cutting.export import letters, scripts
from cutting.files import FILES, Source
from cutting.formats.plan_v1 import to_model
from cutting.words import ENGLISH


def paper(text: str) -> bytes:
    made = BytesIO()
    canvas = Canvas(made, pagesize=(600, 60), pageCompression=0)
    letters.write(canvas, text, letters.FONT, 24, 20, 20)
    canvas.save()
    return made.getvalue()


def ink(text: str) -> np.ndarray:
    """Where a line of text is black, as rows and columns."""
    return np.asarray(pypdfium2.PdfDocument(paper(text))[0].render(scale=3).to_pil().convert("L")) < 128


def blobs(text: str) -> int:
    return ndimage.label(ink(text), structure=np.ones((3, 3)))[1]


def test_letters_that_join_are_joined():
    """An Arabic word without dots is one stroke, letters parted by a joiner that forbids it are not; the Devanagari line runs through."""
    assert blobs("محمد") == 1
    assert blobs("م\u200cح\u200cم\u200cد") == 4
    assert blobs("नमन") == 1
    assert blobs("नमन नमन") == 2


def test_what_is_read_from_the_right_begins_at_the_right():
    """Lamed is the one Hebrew letter that rises above the others: first of its word it is at the right, last at the left."""
    for word, right in (("למה", True), ("גמל", False)):
        rows, columns = np.nonzero(ink(word))
        middle = (columns.min() + columns.max()) / 2
        assert bool(columns[rows == rows.min()].mean() > middle) is right, word


def test_a_number_stays_by_its_unit_and_a_name_turns_nothing_else():
    """After a name from the right: the number, its unit and what follows stand as they are typed, whatever signs are in it."""
    for name in ("سلمى", "שרה", "سل\u202eمى", "\u2067שרה"):
        with pdfplumber.open(BytesIO(paper(f"Salma {name} · 92 1/2 cm (hip)"))) as read:
            page = read.pages[0]
            words = [(one["text"], one["x0"]) for one in page.extract_words()]
            drawn = page.curves
        assert [text for text, _ in words] == ["Salma", "·", "92", "1/2", "cm", "(hip)"], name
        at = dict(words)
        assert at["Salma"] < min(one["x0"] for one in drawn) < max(one["x1"] for one in drawn) < at["·"], name


@pytest.mark.parametrize("code", sorted(scripts.scripts()))
def test_each_letter_of_a_script_is_the_sign_of_its_font(code):
    """Alone, a letter is as wide as its font says and is not the box; most stand exactly as the font draws them."""
    with ZipFile(scripts.FONTS) as fonts:
        font = TTFont(BytesIO(fonts.read(f"{code}.ttf")))
    signs, high = font.getGlyphSet(), font["head"].unitsPerEm
    cases = [
        (chr(at), sign)
        for at, sign in font.getBestCmap().items()
        if unicodedata.script(chr(at)) == code and unicodedata.category(chr(at)) == "Lo"
    ][:40] or [(chr(at), sign) for at, sign in font.getBestCmap().items() if unicodedata.script(chr(at)) == code][:40]
    assert cases
    same = 0
    for letter, sign in cases:
        assert scripts.script(letter) == code
        drawn = scripts.signs(scripts.Stretch(code, letter))
        points = np.array([point for _, points in drawn.moves for point in points]) * high
        pen = BoundsPen(signs)
        signs[sign].draw(pen)
        if pen.bounds is None:
            same += not len(points)
            continue
        assert len(points), hex(ord(letter))
        same += bool(np.allclose([*points.min(axis=0), *points.max(axis=0)], pen.bounds, atol=0.02 * high))
    assert same > 0.7 * len(cases), (same, len(cases))


def test_a_card_carries_such_names_and_their_text(palazzo):
    """On the card and on the pattern: drawn on the page, and marked with what is written for who cannot see it."""
    names = ["سلمى الحسن", "שרה", "अनीता", "ไพลิน", "தமிழ்", "អ្នក", "አበበ"]
    source = Source(to_model(palazzo), ENGLISH, ", ".join(names), palazzo, "A4", "Three Tables", "")
    for file in ("calls.pdf", "pattern-a4.pdf"):
        data = next(one for one in FILES if one.name == file).made(source)
        with pdfplumber.open(BytesIO(data)) as read:
            streams = [resolve1(one).get_data() for page in read.pages for one in page.page_obj.contents]
        said = b"".join(streams)
        for word in " ".join(names).split():
            assert f"<FEFF{word.encode('utf-16-be').hex().upper()}>".encode() in said, (file, word)
