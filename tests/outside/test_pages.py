"""The pattern as PDF read back: true size, every outline, page on page."""

import re
from dataclasses import replace
from io import BytesIO

import numpy as np
import pdfplumber
import pypdf
import pytest
from shapely.geometry import LineString, Polygon

from cutting.drawing import PAPERS, pattern_pages
from cutting.export.pdf import pages_to_pdf
from cutting.files import FILES, Source
from cutting.formats.plan_v1 import to_model
from cutting.words import ENGLISH
from tests.jobs import file_of
from tests.outside.read_back import POINT, is_there, outlines, pages

MARGIN, OVERLAP = 10, 10


def names_of(data):
    """The row and the column of each page but the first, as the file's own list of contents has them."""
    return [re.fullmatch(r"([A-Z]+)(\d+)", one.title).groups() for one in pypdf.PdfReader(BytesIO(data)).outline]


@pytest.mark.parametrize(("what", "paper"), [("palazzo", "A4"), ("palazzo", "Letter"), ("jumpsuit", "A3")])
def test_the_pages_put_together_are_the_pattern_in_true_size(request, what, paper):
    """By where each page begins, as its name says, every outline is found whole, and on every page that shows it at
    the same place; no page shows nothing.
    """
    made = request.getfixturevalue(what)
    wide, high = {"A4": (210, 297), "Letter": (215.9, 279.4), "A3": (297, 420)}[paper]
    data = file_of(made, f"pattern-{paper.lower()}.pdf")
    together, seen = [], []
    for (row, column), ((width, height), _, strokes, _) in zip(names_of(data), list(pages(data))[1:], strict=True):
        assert (width, height) == pytest.approx((wide, high), abs=0.01)
        at = ((int(column) - 1) * (wide - 2 * MARGIN - OVERLAP), (ord(row) - 65) * (high - 2 * MARGIN - OVERLAP))
        moved = [[(x - MARGIN + at[0], y - MARGIN + at[1]) for x, y in one] for one in strokes if len(one) > 1]
        together.append([Polygon(one) for one in moved if len(one) > 3])
        window = Polygon(
            [at, (at[0] + wide - 20, at[1]), (at[0] + wide - 20, at[1] + high - 20), (at[0], at[1] + high - 20)]
        )
        seen.append(any(shape.intersects(window) for shape in together[-1]))
    assert all(seen)
    whole = [shape for shapes in together for shape in shapes]
    alike = list(outlines(made).values())
    for outline in alike:
        places = [shape.centroid for shape in whole if is_there(outline, [shape], 0.1)]
        # On all pages that show it, it is at one place of the whole drawing; two pieces may be alike.
        apart = [at for k, at in enumerate(places) if all(at.distance(other) > 0.05 for other in places[:k])]
        assert 1 <= len(apart) <= sum(is_there(outline, [other], 0.1) for other in alike)


def test_every_part_of_every_outline_is_on_a_page(palazzo):
    """Rendered as it is printed, without what is cut off at a page's edge: along each line there is ink."""
    data = file_of(palazzo, "pattern-a4.pdf")
    dots = 72  # to the inch
    read = list(pages(data))
    ink = []
    for (row, column), (_, _, _, page) in zip(names_of(data), read[1:], strict=True):
        dark = np.asarray(page.to_image(resolution=dots).original.convert("L")) < 200
        ink.append(((int(column) - 1) * 180, (ord(row) - 65) * 267, dark))
    lines = []
    for (row, column), (_, _, strokes, _) in zip(names_of(data), read[1:], strict=True):
        at = (int(column) - 1) * 180 - MARGIN, (ord(row) - 65) * 267 - MARGIN
        lines += [LineString([(x + at[0], y + at[1]) for x, y in one]) for one in strokes if len(one) > 3]
    cut = [line for line in lines if any(is_there(one, [Polygon(line)], 0.1) for one in outlines(palazzo).values())]
    assert len(cut) >= len(outlines(palazzo))
    missing = 0
    for line in cut:
        for size in np.arange(0, line.length, 61.7):
            x, y = line.interpolate(size).coords[0]
            missing += not any(has_ink(dark, x - left + MARGIN, y - top + MARGIN, dots) for left, top, dark in ink)
    assert missing == 0


def has_ink(dark, x, y, dots):
    """Within a mm of a place that this page prints."""
    height, width = dark.shape
    k, m = int(x / 25.4 * dots), int(y / 25.4 * dots)
    return 0 <= k < width and 0 <= m < height and bool(dark[max(0, m - 2) : m + 3, max(0, k - 2) : k + 3].any())


def test_a_long_title_stays_on_its_page(palazzo):
    """Of an order with 120 wide letters, in several scripts."""
    source = Source(to_model(palazzo), ENGLISH, "Ólafía Ждан Σοφία: " + "W" * 120)
    for name in ("pattern-a4.pdf", "pattern-roll.pdf"):
        data = next(file for file in FILES if file.name == name).made(source)
        with pdfplumber.open(BytesIO(data)) as read:
            for page in (read.pages[0], read.pages[-1]):
                titles = [one for one in page.chars if one["text"] == "W"]
                assert len(titles) >= 120
                assert max(one["x1"] for one in titles) <= float(page.width) - MARGIN / POINT + 1


def test_the_squares_are_as_long_as_they_say(palazzo):
    first = next(pages(file_of(palazzo, "pattern-a4.pdf")))
    rects = first[3].rects
    sides = {round(float(one["width"]) * POINT, 2) for one in rects} & {100.0, 101.6}
    assert sides == {100.0, 101.6}
    assert "Print at 100 %" in first[1]


def test_large_paper_takes_it_whole_and_a_map_names_every_page(jumpsuit):
    for name, width in (("pattern-roll.pdf", 914.4), ("pattern-a0.pdf", 841)):
        data = file_of(jumpsuit, name)
        read = pypdf.PdfReader(BytesIO(data))
        assert float(read.pages[-1].mediabox.width) * POINT == pytest.approx(width, abs=0.01)
        assert len(read.pages) <= 4
    data = file_of(jumpsuit, "pattern-a4.pdf")
    small, names = list(pages(data)), ["".join(one) for one in names_of(data)]
    assert len(set(names)) == len(names)
    assert all(re.search(rf"\b{name}\b", small[0][1]) for name in names)
    for number, (name, (_, text, _, _)) in enumerate(zip(names, small[1:], strict=True), 2):
        assert f"page {number} of {len(small)}" in text
        assert name in text


def test_a_roll_is_in_lengths_that_programs_read_and_has_the_squares(jumpsuit):
    """Of a drawing longer than 5 m, whose pieces are all there on the pages put together."""
    figures = [
        replace(one, id=f"{one.id}-{k}") for one in Source(to_model(jumpsuit), ENGLISH, "").figures for k in range(4)
    ]
    paged = pattern_pages(figures, PAPERS["roll"])
    assert paged.sheet.height > 5000
    read = list(pages(pages_to_pdf(paged, "Long", ENGLISH)))[1:]
    assert len(read) == len(paged.tiles) > 1
    assert all(size == pytest.approx((914.4, 5000), abs=0.1) for size, *_ in read)
    shapes = [Polygon(one) for _, _, strokes, _ in read for one in strokes if len(one) > 3]
    for outline in outlines(jumpsuit).values():
        assert sum(is_there(outline, [shape], 0.1) for shape in shapes) >= 4
    first = next(pages(file_of(jumpsuit, "pattern-roll.pdf")))
    assert {round(float(one["width"]) * POINT, 2) for one in first[3].rects} >= {100.0, 101.6}
