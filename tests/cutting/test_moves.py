"""What a choice is drawn to move is what a job with that choice has: both drafts are made anew, another way."""

import pytest
from shapely.geometry import LineString, MultiLineString, Polygon, box
from shapely.ops import unary_union

from cutting.body import with_sample
from cutting.choosing import asked
from cutting.formats import read_job
from cutting.kinds import KINDS
from cutting.lengths import inch
from cutting.moves import moves
from cutting.plan import draft
from tests.conftest import some
from tests.jobs import STYLES_BY_METHOD, job

ALL = with_sample({"crotch_length": "26", "waist_to_floor": "42"}, "in")


def asking(style, method, **choices):
    made = job(ALL, style=style, **choices)
    made["garments"][0] |= {"method": method}
    return made


def drafted(style, method, **choices):
    [[garment]] = draft(read_job(asking(style, method, **choices)))
    return garment.panels


def lines_of(panel, drawn):
    """All that is drawn of a panel, by another library: the cut line besides, where there is one line more."""
    lines = [[*panel.net, panel.net[0]], *([dart.near, dart.tip, dart.far] for dart in panel.darts)]
    lines += [line.flat() for line in panel.lines.values()]
    assert len(drawn) - len(lines) in (0, 1)
    return unary_union([LineString(line) for line in lines + [[*panel.cut, panel.cut[0]]] * (len(drawn) > len(lines))])


def alike(one, other):
    """Within what a curve that is drawn by 1 mm near enough is off."""
    return one.buffer(1.5).contains(other) and other.buffer(1.5).contains(one)


def drawn(lines):
    return MultiLineString([[(p.across, p.down) for p in line] for line in lines])


def moved(style, method, kind):
    read = read_job(asking(style, method))
    rows = asked(kind, method, style, {"marking": "on-cloth"}, read.cloth, False)
    for row in rows:
        yield from moves(read.body, method, style, {"marking": "on-cloth"}, read.cloth, False, row.key, row.of, inch(1))


@pytest.mark.parametrize(("style", "method"), some(STYLES_BY_METHOD, 12))
def test_each_drawing_is_the_draft_before_and_after_and_shows_where_they_differ(style, method):
    kind = next(kind for kind in KINDS.values() if style in kind.styles)
    now = drafted(style, method)
    found = list(moved(style, method, kind))
    assert len({one.choice for one in found}) >= 8
    for one in found:
        what = (one.choice, one.way, one.rule, one.panel)
        left, top, across, down = one.view
        shown = box(left, top, left + across, top + down)
        then = drawn(one.lines)
        if one.was:
            was = drawn(one.was)
            assert alike(was, lines_of(now[one.panel], one.was)), what
            assert then.symmetric_difference(was).intersection(shown).length > 1, what
        else:
            assert one.panel not in now, what
            assert shown.contains(then), what
        if one.way == "rule":
            several = kind.choices[one.choice].kind == "list"
            other = drafted(style, method, **{one.choice: [one.rule] if several else one.rule})
            assert alike(then, lines_of(other[one.panel], one.lines)), what


def test_a_length_is_drawn_an_inch_longer_and_one_that_cannot_be_an_inch_shorter():
    kind = KINDS["lower"]
    found = {one.choice: one for one in moved("straight-trousers", "quarter-hip", kind) if one.way != "rule"}
    hem, band = found["hem"], found["band_depth"]
    low = [max(point.down for line in lines for point in line) for lines in (hem.was, hem.lines)]
    assert hem.way == "more"
    assert low[1] - low[0] == pytest.approx(25.4, abs=0.1)
    assert band.panel == "band"
    side = found["side"]
    assert side.of == "allowances"
    grown = (
        Polygon([(p.across, p.down) for p in side.lines[-1]]).area
        - Polygon([(p.across, p.down) for p in side.was[-1]]).area
    )
    assert grown > 0


def test_what_moves_nothing_or_cannot_be_drafted_is_not_drawn():
    found = {(one.choice, one.rule) for one in moved("straight-trousers", "quarter-hip", KINDS["lower"])}
    assert not any(choice in ("other_cloth", "marking") for choice, _ in found)
    assert ("length", "floor") in found
    without = read_job(job(ALL | {"waist_to_floor": None}, style="straight-trousers"))
    assert "floor" not in {
        one.rule
        for one in moves(without.body, "quarter-hip", "straight-trousers", {}, without.cloth, False, "length", "", inch(1))
    }  # fmt: skip


@pytest.mark.parametrize("style", [style for style in KINDS["lower"].styles if style != "wide-gathered"])
def test_a_silhouette_has_the_whole_width_of_its_front_at_the_hem(style):
    """What is past the centre line at the crotch is folded in; at the hem a wide leg is seen to be wide."""
    kind = KINDS["lower"]
    method = kind.first_method(style)
    drawn_ = kind.outline(read_job(asking(style, method)).body, style)
    low = max(p.down for p in drawn_)
    band = box(-2000, low - 6, 2000, low - 4)
    hanging = Polygon([(p.across, p.down) for p in drawn_]).buffer(0).intersection(band)
    [[garment]] = draft(read_job(asking(style, method)))
    name = "leg" if "leg" in garment.panels else "front"
    net = Polygon(garment.panels[name].net)
    level = LineString([(-2000, net.bounds[3] - 5), (2000, net.bounds[3] - 5)])
    if name == "front":
        assert hanging.bounds[2] - hanging.bounds[0] == pytest.approx(net.intersection(level).length, abs=6)
    assert hanging.bounds[2] <= 0.01
