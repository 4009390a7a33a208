"""The files of a plan read back by other programs: true size, every outline, nothing that a spreadsheet works out."""

import csv
import json
import re
from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from io import BytesIO, StringIO
from pathlib import Path

import ezdxf
import numpy as np
import pdfplumber
import pypdf
import pytest
from shapely import affinity
from shapely.geometry import LineString, Polygon
from svgelements import SVG
from svgelements import Path as DrawnPath
from zxingcpp import read_barcodes

from cutting.drawing import PAPERS, pattern_pages
from cutting.export.pdf import pages_to_pdf
from cutting.files import FILES, Source
from cutting.formats import read_job
from cutting.formats.plan_v1 import to_model
from cutting.plan import plan
from cutting.words import ENGLISH
from tests.jobs import MARIT, file_of

SUIT = json.loads((Path(__file__).parents[2] / "demo/jobs/crew-jumpsuit.json").read_text())
POINT = 25.4 / 72
"""A point of a PDF in mm."""
MARGIN, OVERLAP = 10, 10
PLOTTER = 0.025


@pytest.fixture(scope="module")
def palazzo():
    return plan(read_job(MARIT), by_width=False)


@pytest.fixture(scope="module")
def jumpsuit():
    return plan(read_job(SUIT), by_width=False)


def cornered(shape):
    """A shape moved so that its box begins at 0, 0."""
    left, top, *_ = shape.bounds
    return affinity.translate(shape, -left, -top)


def outlines(made):
    """Each piece's cut line as the core has it."""
    return {piece.id: cornered(Polygon([(p.across, p.down) for p in piece.cut])) for piece in made.laid.pieces}


def is_there(outline, shapes, within):
    return any(outline.exterior.hausdorff_distance(cornered(one).exterior) <= within for one in shapes)


# ---------------------------------------------------------------------------------------------------------------- PDF


def pages(data):
    """Of each page: its size, its text, its strokes as polylines; in mm from its upper left corner."""
    with pdfplumber.open(BytesIO(data)) as read:
        for page in read.pages:
            strokes = []
            for one in (*page.curves, *page.lines, *page.rects):
                points = []
                for code, *ends in one["path"]:
                    if code == "c":
                        points += bezier(points[-1], *ends)
                    elif ends:
                        points.append(ends[-1])
                strokes.append([(x * POINT, y * POINT) for x, y in points])
            yield (float(page.width) * POINT, float(page.height) * POINT), page.extract_text(), strokes, page


def names_of(data):
    """The row and the column of each page but the first, as the file's own list of contents has them."""
    return [re.fullmatch(r"([A-Z]+)(\d+)", one.title).groups() for one in pypdf.PdfReader(BytesIO(data)).outline]


def bezier(a, b, c, d):
    t = np.linspace(0, 1, 21)[1:, None]
    a, b, c, d = map(np.array, (a, b, c, d))
    return [tuple(p) for p in (1 - t) ** 3 * a + 3 * (1 - t) ** 2 * t * b + 3 * (1 - t) * t * t * c + t**3 * d]


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


# -------------------------------------------------------------------------------------------------------------- cards


def placed(made):
    """Each placement's outline on the cloth, by the rule of docs/file-formats.md."""
    wire = to_model(made)
    cut = {piece.id: piece.cut for piece in wire.pieces}
    for one in wire.lay.placements:
        t, m = (-1 if one.turned else 1), (-1 if one.mirrored else 1)
        yield Polygon([(one.x_mm + t * down, one.y_mm + t * m * across) for across, down in cut[one.piece]])


@pytest.mark.parametrize("paper", ["A4", "Letter"])
def test_the_call_card_has_every_call_on_its_pages(jumpsuit, paper):
    wire = to_model(jumpsuit)
    address = "http://plavet.local/orders/abc/mark?call="
    source = Source(wire, ENGLISH, "Ólafía: " + "jumpsuit " * 30, SUIT, paper, "Three Tables, Quay 7", address)
    data = next(file for file in FILES if file.name == "calls.pdf").made(source)
    words, codes = [], []
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
            codes += [one.text for one in read_barcodes(page.to_image(resolution=200).original)]
    begins = [int(found[1]) for line in words if (found := re.match(r"(\d+) \S", line))]
    assert [n for n in range(1, len(wire.marks) + 1) if n not in begins] == []
    groups = [k for k, mark in enumerate(wire.marks, 1) if k == 1 or mark.panel != wire.marks[k - 2].panel]
    assert sorted(codes) == sorted(f"{address}{k}" for k in groups)
    said = " ".join(words).replace(" ", "")
    for mark in wire.marks[::7]:
        assert mark.name.split(",")[0].split()[0] in said


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


def test_the_cards_of_measures_and_of_what_is_cut_say_what_the_plan_does(jumpsuit):
    wire = to_model(jumpsuit)
    source = Source(wire, ENGLISH, "Crew", SUIT)
    made = {file.name: file.made(source) for file in FILES if file.use == "card"}
    text = {}
    for name, data in made.items():
        with pdfplumber.open(BytesIO(data)) as read:
            text[name] = "\n".join(page.extract_text() for page in read.pages)
    for key in SUIT["measurements"]:
        assert ENGLISH.taking(key).name in text["measurements.pdf"]
    for piece in wire.pieces:
        assert f"{ENGLISH.panel_name(piece.panel)}: cut {piece.count}" in text["cut-list.pdf"].replace("\n", " ")
    for notion in wire.notions:
        assert notion.name in text["cut-list.pdf"]


# ---------------------------------------------------------------------------------------------------------------- DXF


@pytest.mark.parametrize("name", ["pieces.dxf", "pieces-r12.dxf"])
def test_dxf_is_sound_and_has_every_outline_in_mm(jumpsuit, name):
    document = ezdxf.read(StringIO(file_of(jumpsuit, name).decode()))
    audit = document.audit()
    assert (audit.errors, audit.fixes) == ([], [])
    assert name == "pieces-r12.dxf" or document.header["$INSUNITS"] == 4
    notches = {re.sub(r"[^A-Za-z0-9_-]", "_", one.id).upper(): len(one.notches) for one in jumpsuit.laid.pieces}
    found = {}
    for insert in document.modelspace().query("INSERT"):
        block = document.blocks[insert.dxf.name]
        cut = [one for one in block if one.dxf.layer == "1" and one.dxftype() in ("LWPOLYLINE", "POLYLINE")]
        assert len(cut) == 1
        assert cut[0].is_closed
        points = (
            list(cut[0].get_points("xy"))
            if cut[0].dxftype() == "LWPOLYLINE"
            else [(v.dxf.location.x, v.dxf.location.y) for v in cut[0].vertices]
        )
        # Its second number grows upwards.
        found[insert.dxf.name] = cornered(Polygon([(x, -y) for x, y in points]))
        layers = {one.dxf.layer for one in block}
        assert {"1", "7", "14", "15"} <= layers
        assert sum(one.dxf.layer == "4" for one in block) == notches[insert.dxf.name]
        splines = [one for one in block if one.dxftype() == "SPLINE"]
        assert {one.dxf.layer for one in splines} <= {"1-spline", "14-spline"}
        assert name == "pieces-r12.dxf" or any(one.dxf.layer == "14-spline" for one in splines)
    for piece, outline in outlines(jumpsuit).items():
        there = found[re.sub(r"[^A-Za-z0-9_-]", "_", piece).upper()]
        assert there.area == pytest.approx(outline.area, rel=1e-3)
        assert there.exterior.hausdorff_distance(outline.exterior) < 0.1


# --------------------------------------------------------------------------------------------------------------- HPGL


def ways(text):
    """What a plotter draws without lifting its pen, closed or not, in steps."""
    way = []
    for code, numbers in re.findall(r"(PU|PD)([\d,]*);", text):
        steps = [int(one) for one in numbers.split(",") if one]
        way = way if code == "PD" else way[-1:] if not steps else []
        way = [*way, *zip(steps[::2], steps[1::2], strict=True)]
        if code == "PD" and len(way) > 3:
            yield way


def test_a_plotters_pen_goes_round_every_outline(jumpsuit):
    text = file_of(jumpsuit, "pieces.hpgl").decode()
    shapes = [Polygon([(x * PLOTTER, -y * PLOTTER) for x, y in way]) for way in ways(text)]
    for outline in outlines(jumpsuit).values():
        assert is_there(outline, shapes, 0.1 + PLOTTER)


def test_a_plotters_pens_are_by_what_is_drawn_and_travel_little(jumpsuit):
    """Pen 1 draws the outlines and no more; between its strokes the pen goes less far than with a piece's in any order."""
    text = file_of(jumpsuit, "pieces.hpgl").decode()
    by_pen = {}
    for pen, said in re.findall(r"SP(\d);((?:(?!SP)[^\n])*)", text):
        by_pen.setdefault(pen, []).append(said)
    first = [Polygon([(x * PLOTTER, -y * PLOTTER) for x, y in way]) for said in by_pen["1"] for way in ways(said)]
    alike = list(outlines(jumpsuit).values())
    closed = [shape for shape in first if shape.area > 10]
    assert len(closed) == len(alike)
    assert all(is_there(outline, closed, 0.1 + PLOTTER) for outline in alike)
    assert all("LB" not in said for said in by_pen["1"] + by_pen["2"])

    def lifted(text):
        far, here = 0.0, None
        for code, numbers in re.findall(r"(PU|PD)(\d[\d,]*);", re.sub(r"LB[^\x03]*\x03;", "", text)):
            steps = [int(one) for one in numbers.split(",")]
            if code == "PU" and here:
                far += float(np.hypot(steps[0] - here[0], steps[1] - here[1]))
            here = steps[-2:]
        return far

    whole = re.sub(r"PU\d+,\d+;SI[^\n]*?\x03;", "", text)
    strokes = [re.findall(r"PU[\d,]+;PD[\d,]+;PU;", line) for line in whole.split("\n")]
    mixed = "".join("".join(sorted(line)) for line in strokes)
    assert lifted("".join("".join(line) for line in strokes)) < 0.8 * lifted(mixed)


# ---------------------------------------------------------------------------------------------------------- SVG, CSV


def test_svg_is_read_by_another_library(jumpsuit):
    drawing = SVG.parse(BytesIO(file_of(jumpsuit, "plan.svg")), ppi=25.4)
    shapes = {one.id: one for one in drawing.elements() if isinstance(one, DrawnPath) and one.id}
    for piece, outline in outlines(jumpsuit).items():
        points = [shapes[f"{piece}.cut"].point(t) for t in np.linspace(0, 1, 4000)]
        there = cornered(Polygon([(p.x, p.y) for p in points]))
        assert there.area == pytest.approx(outline.area, rel=1e-3)


def test_tables_hold_what_the_plan_does_and_no_cell_is_worked_out():
    raw = json.loads(json.dumps(MARIT))
    whole = plan(read_job(raw), by_width=False)
    wire = to_model(whole)
    for file in FILES:
        if file.format != "csv":
            continue
        rows = list(csv.reader(StringIO(file_of(whole, file.name).decode())))
        assert len({len(row) for row in rows}) == 1
        for row in rows[1:]:
            for cell in row:
                assert not cell.startswith(("=", "+", "@")), cell
                assert not cell.startswith("-") or re.fullmatch(r"-[0-9.]+(e-?\d+)?", cell), cell
    calls = list(csv.DictReader(StringIO(file_of(whole, "calls.csv").decode())))
    assert [one["say"] for one in calls] == [mark.say for mark in wire.marks]
    numbers = {one["number"]: one for one in csv.DictReader(StringIO(file_of(whole, "numbers.csv").decode()))}
    assert numbers.keys() == wire.numbers.keys()
    for key, one in wire.numbers.items():
        assert float(numbers[key]["cut_mm"]) == pytest.approx(one.cut_mm, abs=1e-3)
        assert numbers[key]["formula"].lstrip("'") == one.formula
    ledger = list(csv.DictReader(StringIO(file_of(whole, "ledger.csv").decode())))
    assert [(one["level"], float(one["sewn_mm"]), one["closes"]) for one in ledger] == [
        (one.level, pytest.approx(one.sewn_mm, abs=1e-3), "yes" if one.closes else "no") for one in wire.ledger
    ]
    notions = list(csv.DictReader(StringIO(file_of(whole, "notions.csv").decode())))
    assert [(one["name"], int(one["count"])) for one in notions] == [(one.name, one.count) for one in wire.notions]
    cut = list(csv.DictReader(StringIO(file_of(whole, "cut-list.csv").decode())))
    assert {one["piece"]: int(one["count"]) for one in cut} == {piece.id: piece.count for piece in whole.laid.pieces}


def test_files_asked_for_at_once_are_as_those_asked_for_alone(palazzo, jumpsuit):
    """By eight threads, as the server has them: letters of one file are not those of another."""
    wanted = [
        (made, name)
        for made in (palazzo, jumpsuit)
        for name in ("calls.pdf", "lay.pdf", "cut-list.pdf", "pattern-a3.pdf")
    ]
    alone = [file_of(*one) for one in wanted]
    with ThreadPoolExecutor(8) as pool:
        assert list(pool.map(lambda one: file_of(*one), wanted * 3)) == alone * 3


def test_the_same_plan_is_the_same_file(palazzo):
    for file in FILES:
        assert file_of(palazzo, file.name) == file_of(palazzo, file.name), file.name
