"""Kinds, styles, choices and folds are each in one table: one more of each is one more line and its words."""

from dataclasses import fields, replace

import pytest

from cutting.body import SESSIONS, session_for
from cutting.body.catalogue import CATALOGUE, MeasurePoint
from cutting.checks import CHECKS, check_garment
from cutting.choosing import asked
from cutting.cloth import FOLDS, Cloth, Folded, folded
from cutting.cloth.folded import _FOLDED, Doubling, _stack
from cutting.formats import keep, plan_to_wire, read_job
from cutting.garments import House, LeftSide, Lower, Part
from cutting.garments.pockets import MAKERS, Pockets
from cutting.garments.seams import sewn
from cutting.kinds import KINDS, PAIRS, all_styles, kind_of
from cutting.ledger import ROWS, ledger
from cutting.lengths import inch
from cutting.methods import METHODS, STYLES
from cutting.methods.choices import LOWER, length, need
from cutting.methods.styles import Style
from cutting.plan import plan
from cutting.words import en
from cutting.words.en import choices as choice_words
from cutting.words.en import folds as fold_words
from cutting.words.en import marks, measures, trade
from cutting.words.language import FoldWords, Taking
from tests.jobs import job, planned


def rows_of(style, joined=False, chosen=None, method=None):
    kind = kind_of(style)
    return kind, asked(kind, method or kind.first_method(style), style, chosen or {}, Cloth(), joined)


def test_every_kind_is_checked_and_kept_in_the_ledger_and_an_unknown_one_fails():
    assert set(CHECKS) == set(ROWS) == {*KINDS, House.kind, LeftSide.kind}
    made = planned().garments[0]

    class Cape(Lower):
        kind = "cape"

    cape = Cape(**{one.name: getattr(made, one.name) for one in fields(made)})
    for prove in (check_garment, ledger):
        with pytest.raises(KeyError, match="cape"):
            prove(cape)
    with pytest.raises(KeyError, match="cape"):
        kind_of("cape")


@pytest.mark.parametrize("style", all_styles())
@pytest.mark.parametrize("joined", [False, True])
def test_every_choice_and_every_rule_of_every_style_has_its_words(style, joined):
    for method in kind_of(style).methods_for(style):
        kind, rows = rows_of(style, joined, method=method)
        assert len({(row.of, row.key) for row in rows}) == len(rows), "each thing is asked once"
        for row in rows:
            key = f"{row.of}.{row.key}" if row.of else row.key
            words = en.choice_words(kind.name, key, joined)
            assert words.legend[0].isupper()
            assert en.group_name(kind.name, row.choice.group)
            assert en.source_name(row.source) is not None
            if row.choice.kind in ("rule", "list"):
                offered = [rule for rule in row.rules if rule != "none" or row.choice.kind == "rule"]
                assert len(offered) > 1
                assert all(en.rule_name(kind.name, row.key, rule, joined) for rule in offered)
            if row.usual is None and row.choice.kind != "rule":
                assert words.unset, f"{key}: what is taken where nothing is typed?"
        assert en.style_name(style)
        assert en.method_words(method).says


def test_every_fold_cloth_and_pair_has_its_words():
    for fold in (*FOLDS, "sections"):
        assert en.fold_words(fold).says
    for style in PAIRS:
        assert en.style_name(style)
        assert all(en.half_name(kind) for kind in PAIRS[style].halves)
    assert {session_for(kinds) for kinds in ({"lower"}, {"top"}, {"lower", "top"})} <= set(SESSIONS)


def test_a_choice_is_asked_only_where_it_is_read():
    """Straight from the hand: a casing has no band, a palazzo no knee, a bodice no length of its own."""

    def keys(*given, **named):
        return {row.key for row in rows_of(*given, **named)[1]}

    assert {"band_depth", "band_overlap"} <= keys("palazzo")
    assert not {"band_depth", "band"} & keys("palazzo", chosen={"waist_finish": "casing"})
    assert "casing" in keys("palazzo", chosen={"waist_finish": "casing"})
    assert "knee_ease" not in keys("palazzo")
    assert "knee_ease" in keys("straight-trousers")
    assert "pocket_opening" not in keys("palazzo")
    assert "pocket_opening" in keys("palazzo", chosen={"pockets": ["in-seam"]})
    assert "top_length" in keys("straight-top")
    assert not {"top_length", "hip_ease"} & keys("bodice")
    assert "waist_join" in keys("palazzo", joined=True)


@pytest.fixture
def one_more(monkeypatch):
    """A pretend style, pocket, waist choice, fold and measurement: each a line in its table, and its words."""
    monkeypatch.setitem(STYLES, "culottes", Style("fall", None, {"hem": inch(1)}))
    palazzo = METHODS["quarter-hip"]
    monkeypatch.setitem(METHODS, "quarter-hip", replace(palazzo, styles=(*palazzo.styles, "culottes")))
    monkeypatch.setitem(trade.STYLES, "culottes", "Culottes")

    def coin(garment, panels, ask, sums):
        (patch,) = MAKERS["back-patch"](garment, panels, replace(ask, patch=inch(2.5)), sums).parts
        panel = replace(patch.panel, name="coin-pocket")
        return Pockets((Part(panel, 1, seams=(sewn("patch", "coin-pocket.side", "front.pocket"),)),))

    monkeypatch.setitem(MAKERS, "coin", coin)
    monkeypatch.setitem(marks.PANELS, "coin-pocket", "coin pocket")
    pockets = LOWER["pockets"]
    monkeypatch.setitem(LOWER, "pockets", replace(pockets, offered=(*pockets.offered, "coin")))
    monkeypatch.setitem(choice_words.RULES["lower"]["pockets"], "coin", "Coin pocket")
    finish = LOWER["waist_finish"]
    monkeypatch.setitem(LOWER, "waist_finish", replace(finish, offered=(*finish.offered, "drawn-up")))
    monkeypatch.setitem(choice_words.RULES["lower"]["waist_finish"], "drawn-up", "Drawn up by a cord")
    cord = replace(length(20, 60, need("waist_finish", "drawn-up")), group="waist")
    monkeypatch.setitem(LOWER, "cord", cord)
    monkeypatch.setitem(choice_words.CHOICES["lower"], "cord", ("Cord", "with both ends", "by the waist"))

    def thirds(fold, width, _):
        third = width / 3
        return Folded(fold, third, _stack((0, third), (0, third), (0, third)), (Doubling((2, 3), 0.0),))

    monkeypatch.setitem(_FOLDED, "in-thirds", thirds)
    words = FoldWords("In thirds", "three layers", "fold", "cloth width / 3", "Fold it in three: {depth} deep.")
    monkeypatch.setitem(fold_words.FOLDS, "in-thirds", words)
    monkeypatch.setitem(CATALOGUE, "arch", MeasurePoint("arch", 200, 500, ("trousers",), "front", ("round", "ankle")))
    monkeypatch.setitem(measures.MEASURES, "arch", Taking("arch", "Round heel and instep.", "Foot pointed."))


def test_a_pretend_style_pocket_fold_waist_and_point_reach_the_page_without_a_line_in_it(one_more):
    """What the page is sent holds each of them, by name; a job with them is read, drafted, laid and kept."""
    from shop.bridge.designing import design, silhouettes
    from shop.bridge.measuring import points
    from shop.bridge.trade import trade as lists

    shown = lists()
    assert "Culottes" in {style.name for kind in shown.kinds for style in kind.styles}
    assert ("In thirds", 3) in {(fold.name, fold.layers) for fold in shown.folds}
    assert "arch" in {point["key"] for point in points("trousers")}
    raw = job(cloth={"width": 128, "fold": "in-thirds"}, style="culottes", pockets=["coin"])
    raw["measurements"]["arch"] = 12
    said = design(raw | {"cloth": raw["cloth"] | {"fold": "auto"}})
    rows = {row.key: row for group in said.groups for row in group.rows}
    assert "Coin pocket" in {option.label for option in rows["pockets"].options}
    assert "Drawn up by a cord" in {option.label for option in rows["waist_finish"].options}
    assert "cord" not in rows
    raw["garments"][0]["choices"] |= {"waist_finish": "drawn-up"}
    assert "Cord" in {row.legend for group in design(raw).groups for row in group.rows}
    del raw["garments"][0]["choices"]["waist_finish"]
    assert "culottes" in silhouettes("in", {"hip": "41"})
    made = plan(read_job(raw), by_width=False)
    assert made.laid.fold == "in-thirds"
    assert "coin-pocket" in {piece["panel"] for piece in keep(made)["pieces"]}
    wire = plan_to_wire(made)
    assert wire["lay"]["sections"][0]["say"].startswith("Fold it in three")
    assert "coin pocket" in {piece["panel"].replace("-", " ") for piece in wire["pieces"]}
    assert folded(Cloth(), "in-thirds").depth == pytest.approx(1143 / 3)
