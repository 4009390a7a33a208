"""Patterns that other programs drew: read in true size, refused with the place, and nothing else comes of broken ones."""

import os
from io import BytesIO, StringIO
from math import pi

import ezdxf
import numpy as np
import pdfplumber
import pytest
from shapely.geometry import Polygon

from cutting.errors import CuttingError, Problem
from cutting.files import FILES, OUTSIDE, FromOutside
from cutting.readers import read_pattern
from cutting.words import ENGLISH
from tests.jobs import file_of, planned

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" width="{w}mm" height="{w}mm" viewBox="0 0 {w} {w}">'


def svg(*shapes, w=1000):
    return HEAD.format(w=w) + "".join(shapes) + "</svg>"


def area(piece):
    return Polygon(piece.outline).area


@pytest.fixture(scope="module")
def made():
    return planned(style="straight-trousers", seat="full")


@pytest.mark.parametrize(("name", "unit"), [("plan.svg", None), ("pieces.dxf", None), ("pieces-r12.dxf", "mm")])
def test_what_leaves_comes_in_again(made, name, unit):
    found = read_pattern(file_of(made, name).decode(), unit)
    assert found.refused == ()
    wanted = sorted(Polygon([(p.across, p.down) for p in piece.cut]).area for piece in made.laid.pieces)
    assert sorted(map(area, found.pieces)) == pytest.approx(wanted, rel=1e-3)
    # Sewing line, grain, notches and darts are drawn on their piece.
    assert all(len(piece.lines) >= 2 for piece in found.pieces)


def test_shapes_transforms_and_units_of_an_svg():
    """Of shapes whose areas are known by their formulas."""
    found = read_pattern(
        svg(
            '<g transform="translate(100 50) rotate(30) scale(2)"><rect id="a" width="100" height="40"/></g>',
            '<circle id="b" cx="700" cy="700" r="100"/>',
            '<path id="c" d="M10,500 h200 v100 h-200 z"/>',
        )
    )
    assert {piece.name: area(piece) for piece in found.pieces} == pytest.approx(
        {"a": 200 * 80, "b": pi * 100**2, "c": 200 * 100}, rel=1e-3
    )
    bare = '<svg xmlns="http://www.w3.org/2000/svg"><rect width="10" height="4"/></svg>'
    with pytest.raises(CuttingError, match=r"pattern\.unit"):
        read_pattern(bare)
    for unit, mm in (("mm", 1), ("cm", 10), ("in", 25.4), ("px", 25.4 / 96)):
        if mm < 1:
            continue
        [piece] = read_pattern(bare.replace('"10"', '"20"').replace('"4"', '"12"'), unit).pieces
        assert area(piece) == pytest.approx(20 * 12 * mm * mm, rel=1e-6), unit


@pytest.mark.parametrize(("code", "mm"), [(1, 25.4), (4, 1.0), (5, 10.0)])
def test_a_dxf_of_another_program_in_its_own_unit(code, mm):
    document = ezdxf.new("R2010")
    document.header["$INSUNITS"] = code
    space = document.modelspace()
    space.add_lwpolyline([(0, 0), (30, 0), (30, 20), (0, 20)], close=True)
    block = document.blocks.new("YOKE")
    block.add_circle((0, 0), 6)
    block.add_line((-2, 0), (2, 0))
    space.add_blockref("YOKE", (100, 100), dxfattribs={"xscale": 2, "yscale": 2})
    out = StringIO()
    document.write(out)
    found = read_pattern(out.getvalue())
    assert sorted(area(one) / mm / mm for one in found.pieces) == pytest.approx([pi * 12**2, 600], rel=2e-3)
    assert {one.name: len(one.lines) for one in found.pieces} == {"0": 0, "YOKE": 1}


SQUARE = "M100,100 h300 v300 h-300 z"
REFUSED = {
    "pattern.open": ("M500,500 l200,0 0,200", (700, 700)),
    "pattern.crossed": ("M500,500 l200,200 0,-200 -200,200 z", (600, 600)),
    "pattern.tiny": ("M500,500 h5 v5 h-5 z", (500, 500)),
    "pattern.long": ("M0,900 h6000 v50 h-6000 z", (0, 900)),
    "pattern.nested": ("M110,110 h280 v280 h-280 z M120,120 h200 v200 h-200 z", (120, 120)),
}


@pytest.mark.parametrize("code", REFUSED)
def test_what_cannot_be_cut_is_refused_with_its_place_and_nothing_is_taken(code):
    line, (x, y) = REFUSED[code]
    found = read_pattern(svg(f'<path d="{SQUARE}"/>', f'<path id="wrong" d="{line}"/>'))
    assert found.pieces == ()
    [one] = found.refused
    assert (one.code, one.name) == (code, "wrong")
    assert (one.at.across, one.at.down) == pytest.approx((x, y), abs=0.5)
    assert all(ENGLISH.say_problem(Problem(one.code), "in"))


def test_what_a_pattern_does_not_need_is_not_read():
    many = "".join(f'<rect x="{k}" width="20" height="20"/>' for k in range(900))
    wave = "M0,0" + "".join(f"L{k / 10},{100 + k % 7}" for k in range(6000)) + "L700,500 0,500z"
    for text, code in (
        ('<!DOCTYPE svg [<!ENTITY a "b">]>' + svg(), "pattern.forbidden"),
        (svg('<use href="#a"/>'), "pattern.forbidden"),
        (svg('<image href="http://elsewhere.test/a.png"/>'), "pattern.forbidden"),
        (svg(many), "pattern.many"),
        ("<svg" + " " * 600_000, "pattern.large"),
        ("<svg nothing", "pattern.unreadable"),
        ("no drawing at all", "pattern.unreadable"),
    ):
        with pytest.raises(CuttingError) as refused:
            read_pattern(text)
        assert [one.code for one in refused.value.problems] == [code], text[:60]
    assert [one.code for one in read_pattern(svg()).refused] == ["pattern.none"]
    assert [one.code for one in read_pattern(svg(f'<path d="{wave}"/>')).refused] == ["pattern.points"]
    script = svg("<script>alert(1)</script>", f'<path d="{SQUARE}" onclick="alert(1)"/>')
    [piece] = read_pattern(script).pieces
    file = next(one for one in FILES if one.name == "plan.svg")
    assert b"alert" not in file.made(FromOutside((piece,), ENGLISH, "x"))


def test_broken_files_are_read_or_refused(made):
    """Letters lost, doubled, changed, parts put elsewhere: a pattern or words come of it, nothing else."""
    chance, refused = np.random.default_rng(11), 0
    texts = [
        svg(f'<path d="{SQUARE}"/>', '<circle r="60" cx="700" cy="300"/>'),
        file_of(made, "pieces-r12.dxf").decode(),
    ]
    texts[1] = "\n".join(texts[1].split("\n")[-4000:]) if len(texts[1]) > 400_000 else texts[1]
    for n in range(3000 if os.environ.get("PLAVET_DEEP") else 240):
        broken = list(texts[n % 8 == 0])
        for _ in range(int(chance.integers(1, 5))):
            at, end = sorted(map(int, chance.integers(0, len(broken), 2)))
            end, kind = min(end, at + 60), int(chance.integers(4))
            if kind == 0:
                del broken[at : at + 1 + int(chance.integers(4))]
            elif kind == 1:
                broken[at] = chance.choice(list('<>&"/=0123456789eE.-+ MLCQAZz\n\x00é'))
            elif kind == 2:
                broken[at:at] = broken[at:end]
            else:
                part = broken[at:end]
                del broken[at:end]
                there = int(chance.integers(len(broken) + 1))
                broken[there:there] = part
        try:
            found = read_pattern("".join(broken), "mm")
            assert found.pieces == () or not found.refused
        except CuttingError as error:
            refused += 1
            assert all(ENGLISH.say_problem(one, "in")[1] for one in error.problems)
    assert refused > 40


def test_it_goes_on_paper_in_true_size():
    found = read_pattern(svg(f'<path id="yoke" d="{SQUARE}"/>'))
    source = FromOutside(found.pieces, ENGLISH, "Yoke")
    sizes = {}
    for name in OUTSIDE:
        data = next(one for one in FILES if one.name == name).made(source)
        assert data, name
        if name == "pattern-a3.pdf":
            with pdfplumber.open(BytesIO(data)) as read:
                for page in read.pages:
                    for one in page.rects + page.curves:
                        sizes[round(float(one["width"]) * 25.4 / 72, 1)] = name
    assert 300.0 in sizes
