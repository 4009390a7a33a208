"""Cards read back: every call with its number and its sum, the lay to scale, what is cut and what was measured."""

import re
from io import BytesIO
from pathlib import Path

import numpy as np
import pdfplumber
import pytest
from fontTools.ttLib import TTFont
from shapely import affinity
from shapely.geometry import LineString, Polygon
from svgelements import SVG
from svgelements import Path as DrawnPath
from zxingcpp import read_barcodes

import cutting
from cutting.files import FILES, Source
from cutting.formats.plan_v1 import to_model
from cutting.formats.sewing_card import step_sheet
from cutting.words import ENGLISH
from tests.jobs import file_of
from tests.outside.read_back import PLOTTER, POINT, bezier, cornered, is_there, pages, placed, ways

SHIPPED = Path(cutting.__file__).parent / "export/fonts"
LARGE = 14
"""Numbers that are chalked are written larger than so many points."""


@pytest.mark.parametrize(("what", "paper"), [("jumpsuit", "A4"), ("palazzo", "Letter")])
def test_the_call_card_has_every_call_on_its_pages(request, suit, what, paper):
    wire = to_model(request.getfixturevalue(what))
    address = "http://plavet.local/orders/abc/mark?call="
    source = Source(wire, ENGLISH, "Ólafía: " + "jumpsuit " * 30, suit, paper, "Three Tables, Quay 7", address)
    data = next(file for file in FILES if file.name == "calls.pdf").made(source)
    words, codes, large = [], [], []
    with pdfplumber.open(BytesIO(data)) as read:
        for number, page in enumerate(read.pages, 1):
            assert (round(float(page.width) * POINT), round(float(page.height) * POINT)) == (
                (210, 297) if paper == "A4" else (216, 279)
            )
            assert f"page {number} of {len(read.pages)}" in page.extract_text()
            assert "Three Tables, Quay 7" in page.extract_text()
            edge = 10 / POINT
            assert all(edge <= one["x0"] and one["x1"] <= float(page.width) - edge for one in page.chars)
            for left in (0, float(page.width) / 2):
                half = page.crop((left, 0, left + float(page.width) / 2, page.height))
                words += half.extract_text().split("\n")
                numbers = half.filter(lambda one: one["object_type"] != "char" or one["size"] > LARGE)
                large += [part for one in numbers.extract_words() for part in re.findall(r"\d+|\D+", one["text"])]
            codes += [one.text for one in read_barcodes(page.to_image(resolution=200).original)]
    begins = [int(found[1]) for line in words if (found := re.match(r"(\d+) \S", line))]
    assert [n for n in range(1, len(wire.marks) + 1) if n not in begins] == []
    groups = [k for k, mark in enumerate(wire.marks, 1) if k == 1 or mark.panel != wire.marks[k - 2].panel]
    assert sorted(codes) == sorted(f"{address}{k}" for k in groups)
    whole = [found[1] for mark in wire.marks if mark.shown and (found := re.match(r"(\d+)(?![\d/])", mark.shown))]
    assert [one for one in large if one.isdigit()] == whole
    sums = [mark for mark in wire.marks if mark.by_hand and not re.search(r"\d/\d|\.", mark.with_)]
    assert sums
    said = " ".join(words).replace(" ", "")
    for mark in sums:
        signs = mark.with_.replace(" / ", "÷").replace(" - ", "\u2212").replace(" ", "")
        assert f"{signs}{'=' if mark.exact else '≈'}" in said
    assert said.count(ENGLISH.page("card_under").replace(" ", "")) == sum(
        wire.lay.placements[wire.marks[k - 1].placing].under for k in groups
    )
    assert said.count("Markthroughalllayers") + said.count("itstwinisthesame") >= len(wire.lay.sections)
    for mark in wire.marks[::7]:
        assert mark.name.split(",")[0].split()[0] in said


NAMES = {
    "王小明": "Droid",
    "山田はなこ": "Droid",
    "김민준": "Nanum",
    "Ólafía": "DejaVu",
    "Σοφία": "DejaVu",
    "Юлія": "DejaVu",
}
"""Invented names and the font that has their letters."""


def test_names_of_east_asia_are_written_with_letters_that_there_are(palazzo):
    """On the card and on the pattern, beside Latin, Greek and Cyrillic ones; each letter of a font that has it."""
    name = ", ".join(NAMES)
    fonts = [TTFont(path) for path in sorted(SHIPPED.glob("*.ttf"))]
    there = {font["name"].getDebugName(6): font.getBestCmap() for font in fonts}
    source = Source(to_model(palazzo), ENGLISH, name, palazzo, "A4", "Three Tables, " + name, "")
    for file in ("calls.pdf", "pattern-a4.pdf"):
        data = next(one for one in FILES if one.name == file).made(source)
        with pdfplumber.open(BytesIO(data)) as read:
            written = [(one["text"], one["fontname"]) for page in read.pages for one in page.chars]
        for letters, font in NAMES.items():
            used = {font for letter, font in written if letter in letters}
            assert used, (file, letters)
            assert all(font in one for one in used), (file, letters, used)
        assert [one for one in set(written) if ord(one[0]) not in there[one[1].split("+")[1]]] == []


@pytest.mark.parametrize("what", ["palazzo", "jumpsuit"])
def test_the_lay_is_drawn_to_the_scale_it_says(request, what):
    """In true size for a machine; on its card so many times smaller, with a ruler whose inches are as much smaller."""
    made = request.getfixturevalue(what)
    wanted = list(placed(made))
    drawing = SVG.parse(BytesIO(file_of(made, "lay.svg")), ppi=25.4)
    shapes = [one for one in drawing.elements() if isinstance(one, DrawnPath) and (one.id or "").endswith(".cut")]
    there = [Polygon([(p.x, p.y) for p in (one.point(t) for t in np.linspace(0, 1, 3000))]) for one in shapes]
    assert len(there) == len(wanted)
    # One motion takes all of them to their places: they are where they are to one another.
    left, top = (min(s.bounds[k] for s in wanted) - min(s.bounds[k] for s in there) for k in (0, 1))
    for one in wanted:
        moved = [affinity.translate(shape, left, top) for shape in there]
        assert any(one.exterior.hausdorff_distance(shape.exterior) < 1.0 for shape in moved)
    turned = [
        Polygon([(x * PLOTTER, -y * PLOTTER) for x, y in way]) for way in ways(file_of(made, "lay.hpgl").decode())
    ]
    left, top = (min(s.bounds[k] for s in wanted) - min(s.bounds[k] for s in turned) for k in (0, 1))
    for one in wanted:
        assert any(
            one.exterior.hausdorff_distance(affinity.translate(shape, left, top).exterior) < 2.0 for shape in turned
        )
    _, text, strokes, _ = next(pages(file_of(made, "lay.pdf")))
    scale = int(re.search(r"Drawn 1 to (\d+)", text)[1])
    small = [affinity.scale(Polygon(one), scale, scale, origin=(0, 0)) for one in strokes if len(one) > 3]
    for one in wanted:
        assert is_there(cornered(one), small, 0.05 * scale)
    ticks = sorted({round(one[0][0], 3) for one in strokes if len(one) == 2 and one[0][0] == one[1][0]})
    steps = np.diff(ticks)
    assert np.median(steps) * scale == pytest.approx(25.4, abs=0.02)


def test_the_cards_of_measures_and_of_what_is_cut_say_what_the_plan_does(jumpsuit, suit):
    wire = to_model(jumpsuit)
    source = Source(wire, ENGLISH, "Crew", suit)
    made = {file.name: file.made(source) for file in FILES if file.use == "card"}
    text = {}
    for name, data in made.items():
        with pdfplumber.open(BytesIO(data)) as read:
            text[name] = "\n".join(page.extract_text() for page in read.pages)
    for key in suit["measurements"]:
        assert ENGLISH.taking(key).name in text["measurements.pdf"]
    for piece in wire.pieces:
        half = "trousers" if piece.garment == "jumpsuit.lower" else "top"
        name = f"{piece.panel.replace('-', ' ').capitalize()}, {half}: cut {piece.count}"
        assert name in text["cut-list.pdf"].replace("\n", " ")
    said = text["sewing.pdf"].replace("\n", " ")
    for one in wire.sewing:
        assert one.title.split()[0] in said
    assert f"{len(wire.sewing)} steps" in said
    for notion in wire.notions:
        assert notion.name in text["cut-list.pdf"]


def test_a_step_of_the_sewing_card_shows_just_the_edges_that_are_sewn(palazzo):
    """Each as long as its edge at one scale for all of the step, and no other line is as thick."""
    wire = to_model(palazzo)
    panels = {panel.name: panel for panel in wire.panels}
    for one in wire.sewing:
        if not one.seams:
            continue
        strokes = [s for f in step_sheet(wire, one, ENGLISH).figures for s in f.strokes if s.role == "sewn"]
        drawn = sum(LineString([tuple(p) for p in stroke.path.flat(0.01)]).length for stroke in strokes)
        edges = {(edge.panel, edge.edge) for k in one.seams for edge in wire.seams[k].edges}
        real = sum(
            LineString(bezier_or_line(part["points"])).length
            for name, edge in edges for part in panels[name].segments if part["edge"] == edge
        )  # fmt: skip
        sides = next(f for f in step_sheet(wire, one, ENGLISH).figures)
        outline = next(stroke for stroke in sides.strokes if stroke.role == "net")
        own = LineString(panels[sides.id.rpartition(".")[2]].net).length
        scale = LineString([tuple(p) for p in outline.path.flat(0.01)]).length / own
        assert drawn == pytest.approx(real * scale, rel=1e-3), one.code


def bezier_or_line(points):
    return points if len(points) == 2 else [points[0], *bezier(*points)]
