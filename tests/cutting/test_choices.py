"""Every choice a tailor may make, one at a time: it drafts soundly, or it is refused in words; no file breaks the reader."""

import json
import re
from copy import deepcopy

import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon

from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, problems_to_wire, read_job, read_job_text
from cutting.methods.choices import LOWER
from cutting.plan import draft, plan
from tests.conftest import some
from tests.jobs import MARIT, job

WHOLE = {
    "waist": 29, "hip": 41, "thigh": 24.5, "knee": 16, "waist_to_knee": 23, "outseam": 41, "inseam": 30.5, "body_rise": 10.5,
    "waist_to_hip": 8, "bust_span": 7.5, "crotch_length": 26, "waist_to_floor": 42,
}  # fmt: skip
RULES = [
    (style, key, word)
    for style in ("straight-trousers", "palazzo")
    for key, choice in LOWER.items()
    if choice.kind != "allowances" and key != "waist_join"  # of jumpsuits alone: test_tops
    for word in choice.offered
    if (key, word) != ("other_cloth", "all")  # nothing would be left: test_tops
]
ENDS = [
    (style, key, end)
    for start, style in enumerate(("straight-trousers", "palazzo"))
    for key, choice in some(list(LOWER.items()), 2, start)
    if choice.kind in ("length", "rule-or-length")
    for end in (choice.least, choice.most)
]


SIDES = (("front", "front-band"), ("back", "back-band", "yoke"))
"""What the side seams of front and back are made of."""


def length_of(panel, name):
    """Along an edge of the net outline, by another library."""
    return LineString(panel.edges[name].path.flat()).length if name in panel.edges else 0.0


def sound(garment):
    """What is required of any draft that is not refused, measured on its outlines."""
    panels = garment.panels
    for panel in panels.values():
        net, cut = Polygon(panel.net), Polygon(panel.cut)
        assert net.is_valid
        assert cut.is_valid
        assert cut.buffer(0.06).contains(net)
    sides = [sum(length_of(panels[name], "side") for name in names if name in panels) for names in SIDES]
    assert sides[0] == pytest.approx(sides[1], abs=0.5)
    assert -0.5 <= length_of(panels["front"], "inner_leg") - length_of(panels["back"], "inner_leg") <= 6
    for _, tape in garment.tapes():
        assert LineString([tape.start, tape.end]).length == pytest.approx(tape.length.mm, abs=1e-3)


@pytest.mark.parametrize(("style", "key", "word"), RULES)
def test_every_rule_drafts_soundly(style, key, word):
    value = [word] if LOWER[key].kind == "list" else word
    asked = job(WHOLE, style=style, **{key: value})
    if (key, word) == ("band", "none"):
        with pytest.raises(CuttingError, match=r"choice\.no_band"):
            read_job(asked)
        asked["garments"][0]["choices"]["waist_finish"] = "casing"
    ((garment,),) = draft(read_job(asked))
    sound(garment)


@pytest.mark.parametrize(("style", "key", "end"), ENDS)
def test_a_length_at_the_end_of_its_range_drafts_or_is_refused_in_words(style, key, end):
    asked = job(WHOLE, style=style, **{key: f"{end} mm"})
    try:
        made = plan(read_job(asked), by_width=False)
    except CuttingError as refused:
        for problem in problems_to_wire(refused)["problems"]:
            assert re.match(r"garments\.trousers", problem["where"])
            assert len(problem["what"]) > 15
            assert len(problem["mend"]) > 15
            assert "{" not in problem["what"] + problem["mend"]
    else:
        sound(made.garments[0])
        wire = plan_to_wire(made)
        found = {finding["code"] for finding in wire["findings"]}
        assert all(check["ok"] or check["code"] in found for check in wire["checks"])


def test_just_beyond_the_range_is_refused_with_the_range():
    for key, choice in LOWER.items():
        if choice.kind == "length":
            with pytest.raises(CuttingError) as refused:
                read_job(job(WHOLE, **{key: f"{choice.most + 1:.1f} mm"}))
            (problem,) = problems_to_wire(refused.value)["problems"]
            assert problem["where"] == f"garments.trousers.choices.{key}"
            assert problem["code"] == "choice.large"


ODD = st.one_of(
    st.none(), st.booleans(), st.integers(-(10**12), 10**12), st.floats(allow_nan=False), st.text(max_size=12),
    st.sampled_from(["", "1/0", "38 1/2", "1e9", "٣٨", "½", "-", "\u0000", "9" * 50, "38 1/2 in in"]),
    st.lists(st.integers(), max_size=2), st.dictionaries(st.text(max_size=6), st.integers(), max_size=2),
)  # fmt: skip


def places(value, path=()):
    """Every place in plain data."""
    inner = value.items() if isinstance(value, dict) else enumerate(value) if isinstance(value, list) else ()
    return [path] * bool(path) + [one for key, part in inner for one in places(part, (*path, key))]


@given(st.data())
def test_whatever_stands_in_a_job_file_it_is_read_or_refused_in_words(data):
    broken = deepcopy(MARIT)
    for _ in range(data.draw(st.integers(1, 3))):
        *way, last = data.draw(st.sampled_from(places(broken)))
        home = broken
        for key in way:
            home = home[key]
        if data.draw(st.booleans()):
            home[last] = data.draw(ODD)
        elif isinstance(home, dict):
            home[data.draw(st.text(min_size=1, max_size=8))] = home.pop(last)
    try:
        read_job_text(json.dumps(broken))
    except CuttingError as refused:
        problems = problems_to_wire(refused)["problems"]
        assert problems
        for problem in problems:
            assert problem["what"]
            assert problem["mend"]
            assert not re.search(r"\{\w+\}|Traceback|Fraction|Decimal\(", problem["what"] + problem["mend"])


@given(st.text(max_size=200))
def test_no_text_breaks_the_reader(text):
    try:
        read_job_text(text)
    except CuttingError as refused:
        assert problems_to_wire(refused)["problems"]
