"""A stored plan keeps codes and lengths: it is said in a language and a unit when it is read, and an old one opens."""

import json
import re
from dataclasses import fields, is_dataclass
from pathlib import Path
from types import SimpleNamespace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from cutting.formats import keep, plan_to_wire, read_job, read_kept
from cutting.formats.stored import as_plan, is_words
from cutting.formats.trees import from_tree, to_tree
from cutting.lengths import Fixed, Found, Measured, Scaled, Sum, show
from cutting.plan import plan
from cutting.words import ENGLISH, en, with_numbers
from cutting.words.en import formula
from cutting.words.language import Language
from tests.conftest import many
from tests.jobs import MARIT, job, planned

JUMPSUIT = json.loads((Path(__file__).parents[2] / "demo/jobs/crew-jumpsuit.json").read_text())
OLD = json.loads((Path(__file__).parents[1] / "data/plan-0.7.json").read_text())
sizes = st.fractions(min_value=-2000, max_value=2000, max_denominator=160)
leaves = st.one_of(
    st.builds(Measured, st.sampled_from(["hip", "waist", "thigh"]), sizes),
    st.builds(Fixed, sizes, st.sampled_from(["", "dart", "allowance.side"])),
    st.builds(Found, st.floats(-2000, 2000), st.sampled_from(["lean", "diagonal"])),
)
lengths = st.recursive(
    leaves,
    lambda inner: st.one_of(
        st.builds(Scaled, inner, st.fractions(-4, 4, max_denominator=16).filter(bool)),
        st.builds(Sum, st.lists(inner, min_size=1, max_size=4).map(tuple)),
    ),
    max_leaves=12,
)


@settings(max_examples=many(200))
@given(lengths, st.sampled_from(["in", "cm"]))
def test_a_length_comes_back_from_the_store_with_its_sum(length, unit):
    back = from_tree(json.loads(json.dumps(to_tree(length))))
    assert back == length
    assert (formula(back, unit), with_numbers(back, unit)) == (formula(length, unit), with_numbers(length, unit))


@pytest.mark.parametrize("broken", [[], ["m"], ["q", 1], ["f", 3, "x"], ["x", "1/2", "hip"], ["+", "hip"], "hip"])
def test_data_that_is_no_length_is_refused(broken):
    with pytest.raises((ValueError, TypeError)):
        from_tree(broken)


def texts(data, path=""):
    """Every text in plain data, with the key it is under."""
    if isinstance(data, dict):
        for key, value in data.items():
            yield from texts(value, f"{path}.{key}")
    elif isinstance(data, list | tuple):
        for value in data:
            yield from texts(value, path)
    elif isinstance(data, str):
        yield path, data


@pytest.mark.parametrize("raw", [MARIT, JUMPSUIT], ids=["palazzo", "jumpsuit"])
def test_what_is_stored_holds_no_sentence(raw):
    """Codes, numbers, path data; nothing with a space in it, but path data and what a panel's edge is sewn to."""
    kept = json.loads(json.dumps(keep(plan(read_job(raw), by_width=False))))
    said = {(path, text) for path, text in texts(kept) if " " in text and not path.endswith((".d", ".sewn_to"))}
    assert said == set()
    labels = {text for path, text in texts(kept["marks"]) if re.search("[A-Z]", text)}
    assert labels == set()


class Shouting:
    """A language made of English in capitals: what it does not say is English that stands elsewhere."""

    def __getattr__(self, name):
        own = getattr(en, name)

        def say(*given, **named):
            said = own(*given, **named)
            if is_dataclass(said):
                # Cautions are codes.
                parts = ((one.name, getattr(said, one.name)) for one in fields(said))
                return type(said)(*(value if name == "cautions" else shouted(value) for name, value in parts))
            if isinstance(said, tuple):
                return shouted(said)
            # Places to fill in stay as they are.
            return re.sub(r"[^{}]+(?![^{}]*})", lambda found: found[0].upper(), said)

        return say


def shouted(said):
    return said.upper() if isinstance(said, str) else tuple(text.upper() for text in said)


def test_a_second_language_is_one_folder():
    """Every sentence of the plan file comes from the language that is asked for."""
    assert {name for name in vars(Language) if not name.startswith("_")} <= set(en.__all__)
    made = plan(read_job(JUMPSUIT), by_width=False)
    loud = read_kept(keep(made), Shouting(), "in").model_dump()
    words = [
        *(number[key] for number in loud["numbers"].values() for key in ("formula", "cut_formula", "name")),
        *(mark[key] for mark in loud["marks"] for key in ("name", "say", "from", "along", "reason")),
        *(check["says"] for check in loud["checks"]), *(finding["words"] for finding in loud["findings"]),
        *(text for one in loud["sewing"] for text in (
            one["title"], one["stitch_name"], one["seam_class_name"], one["press"], one["check"], *one["tools"], *one["says"],
            *one["cautions"],
        )), *(way["says"] for way in loud["ways"]),
        *(notion["name"] for notion in loud["notions"]), *(piece["sewn_to"] for piece in loud["pieces"]),
        *(section[key] for section in loud["lay"]["sections"] for key in ("cut", "name", "say")),
        loud["yardage"]["formula"], loud["fold_needed"]["formula"],
    ]  # fmt: skip
    assert len(words) > 300
    # The unit is the tape's own, and an id the tailor's.
    assert [text for text in words if re.search("[a-z]{3}", text)] == []


def test_the_same_plan_in_centimetres_says_number_and_sum_in_centimetres():
    kept = json.loads(json.dumps(keep(planned())))
    inches, metric = (read_kept(kept, ENGLISH, unit) for unit in ("in", "cm"))
    assert (inches.unit, metric.unit) == ("in", "cm")
    for one, other in zip(inches.marks, metric.marks, strict=True):
        assert one.reads_mm == other.reads_mm
        assert other.shown == (show(one.reads_mm, "cm").text if one.formula else "")
        assert (one.name, one.from_, one.along, one.local_mm) == (other.name, other.from_, other.along, other.local_mm)
    tip = next(mark for mark in metric.marks if mark.code == "crotch_tip")
    assert "5.08 cm" in tip.formula or "5.1 cm" in tip.formula
    assert not re.search(r"\bin\b(?! the)", " ".join(mark.formula for mark in metric.marks if " in " in mark.formula))
    assert metric.numbers["trousers.front.hip_width"].net_mm == inches.numbers["trousers.front.hip_width"].net_mm


def test_a_plan_that_was_stored_in_words_opens_as_it_was():
    assert is_words(OLD)
    assert not is_words(keep(planned()))
    opened = as_plan(OLD)
    assert opened.core == "0.7.0"
    assert [mark.say for mark in opened.marks] == [mark["say"] for mark in OLD["marks"]]
    roles = {stroke.role for stroke in opened.pieces[0].strokes}
    assert roles >= {"cut", "net", "grain", "notch"}
    assert opened.seams == []


def test_an_old_plan_is_shown_by_the_shop_as_the_new_ones_are():
    from shop.bridge.words import said_lay, said_plan

    assert said_plan(OLD, "cm").unit == "in"
    assert said_plan(keep(planned()), "cm").unit == "cm"
    assert said_lay(OLD["lay"], "cm").sections[0].say == OLD["lay"]["sections"][0]["say"]
    assert "cm" in said_lay(keep(planned())["lay"], "cm").sections[0].say


def test_a_plan_of_core_0_19_is_read_without_its_hollows_which_were_not_always_right():
    kept = keep(plan(read_job(JUMPSUIT), by_width=False))
    new = read_kept(kept, ENGLISH, "in").marks
    for mark in kept["marks"]:
        del mark["hollows"]
    old = read_kept(kept, ENGLISH, "in").marks
    hollow = re.compile(r", hollow towards [^,]*")
    assert sum(mark.kind == "curve" and bool(hollow.search(mark.along)) for mark in new) > 10
    for before, after in zip(old, new, strict=True):
        assert before.along == (hollow.sub("", after.along) if after.kind == "curve" else after.along)


def test_a_stand_in_for_a_language_has_to_say_everything():
    """The test above would be blind if a name were missing from the language."""
    with pytest.raises(AttributeError):
        read_kept(keep(planned()), SimpleNamespace(formula=formula), "in")


@pytest.mark.parametrize(
    ("fold", "lengths"), [("open", 1), ("lengthwise-centre", 1), ("crosswise", 2), ("folded-twice", 2)]
)
def test_what_a_proof_leaves_off_is_so_much_of_each_length_on_the_table(fold, lengths):
    lay = plan_to_wire(plan(read_job(job(cloth={"width": "60 in", "fold": fold})), by_width=False))["lay"]
    assert lay["proof_off_mm"] == 2.5 * lengths
