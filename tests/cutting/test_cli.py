"""./plavet plan: exit codes, every problem at once with its place and cure, and what it writes."""

import json
import subprocess
import sys
from pathlib import Path

import pypdf
import pytest

from cutting.cli import main
from tests.jobs import MARIT, job

ROOT = Path(__file__).parents[2]


def run(capsys, tmp_path, text, *words):
    path = tmp_path / "job.json"
    path.write_text(text if isinstance(text, str) else json.dumps(text))
    code = main([str(path), *words])
    return code, capsys.readouterr()


def changed(path, value):
    made = json.loads(json.dumps(MARIT))
    at = made
    for key in path[:-1]:
        at = at[key]
    at[path[-1]] = value
    return made


BAD = [
    # what goes in, where it is said, a piece of what is said, a piece of the cure
    ("missing measure", job({"hip": None}), "measurements.hip", "missing", "Measure it"),
    ("negative", job({"hip": "-41"}), "measurements.hip", "below nothing", "minus"),
    ("zero", job({"hip": 0}), "measurements.hip", "too small", "check the unit"),
    ("absurd, other unit", job({"hip": 104}), "measurements.hip", "too large", "did you mean cm?"),
    ("nonsense", job({"hip": "forty"}), "measurements.hip", "cannot be read", "38 1/2"),
    ("a huge number", '{"format": "plavet-job", "measurements": {"hip": 1e999}}', "job", "not a number", "plain number"),
    ("not a number", '{"format": "plavet-job", "measurements": {"hip": NaN}}', "job", "NaN", "plain number"),
    ("infinity", '{"format": "plavet-job", "measurements": {"hip": -Infinity}}', "job", "Infinity", "plain number"),
    ("digits without end", '{"a": ' + "9" * 5000 + "}", "job", "not a number", "plain number"),
    ("broken JSON", '{"format": ', "job", "line 1", "Mend the file"),
    ("a key twice", '{"format": "a", "format": "b"}', "job", "twice", "Keep one"),
    ("nested without end", "[" * 100_000, "job", "nested", "right file"),
    ("something else", '{"format": "song"}', "format", "not a plavet-job", "plavet-job"),
    ("a newer job", changed(["version"], 2), "version", "version 2", "newer"),
    ("an unknown key", changed(["colour"], 1), "colour", "not known", "Leave it out"),
    ("an unknown measure", job({"hips": 40}), "measurements.hips", "not known", "'hip'"),
    ("an unknown choice", job(crotch_deth="hip/4"), "garments.trousers.choices.crotch_deth", "not known", "crotch_depth"),
    ("a rule that is none", job(seat="square"), "garments.trousers.choices.seat", "square", "flat, usual, full"),
    ("a joined waist alone", job(waist_finish="joined"), "garments.trousers.choices.waist_finish", "Only a garment that a top", "jumpsuit"),
    ("a top by a trouser method", job(style="bodice"), "garments.trousers.method", "'quarter-hip' is not a rule", "quarter-bust"),
    ("a top's method for trousers", changed(["garments", 0, "method"], "quarter-bust"), "garments.trousers.method", "is not a rule", "quarter-hip"),
    ("a jumpsuit of nothing", changed(["garments", 0], {"id": "j", "style": "jumpsuit"}), "garments.j.top", "missing", "Add it"),
    ("a jumpsuit with a band", changed(["garments", 0], {"id": "j", "style": "jumpsuit", "top": {"style": "bodice"}, "lower": {"style": "palazzo", "choices": {"band": "below"}}}), "garments.j.lower.choices.band", "no finish of its own", "Leave it out"),
    ("a jumpsuit with a fly", changed(["garments", 0], {"id": "j", "style": "jumpsuit", "top": {"style": "bodice"}, "lower": {"style": "palazzo", "choices": {"closure": "fly"}}}), "garments.j.lower.choices.closure", "one zip behind", "back-zip or none"),
    ("a jumpsuit's top with a zip of its own", changed(["garments", 0], {"id": "j", "style": "jumpsuit", "top": {"style": "bodice", "choices": {"closure": "front-zip"}}, "lower": {"style": "palazzo"}}), "garments.j.top.choices.closure", "the lower half decides", "lower half"),
    ("trousers of two halves", changed(["garments", 0, "top"], {"style": "bodice"}), "garments.trousers.top", "not made of two halves", "jumpsuit"),
    ("a jumpsuit's own choices", changed(["garments", 0], {"id": "j", "style": "jumpsuit", "choices": {"hem": 2}, "top": {"style": "bodice"}, "lower": {"style": "palazzo"}}), "garments.j.choices", "are its halves'", "top and lower"),
    ("a shirt-tail on a bodice", changed(["garments", 0], {"id": "b", "style": "bodice", "choices": {"hem_shape": "curved"}}), "garments.b.choices.hem_shape", "does not use", "Leave it out"),
    ("a method that cannot", changed(["garments", 0, "method"], "one-piece-leg"), "garments.trousers.method", "does not make palazzo", "quarter-hip"),
    ("a hem too narrow for shorts", job(style="very-short-shorts", hem_width=12), "garments.trousers.choices.hem_width", "run in too steeply", "Give at least"),
    ("a casing past the hip line", job(waist_finish="casing", casing=5, hip_line="two-above", crotch_depth=6.5), "garments.trousers.choices.casing", "past the hip line", "narrower casing"),
    ("a yoke into the curve", job(yoke=5, crotch_depth=7), "garments.trousers.choices.yoke", "into the crotch curve", "Give less"),
    ("a choice the method does not read", job(style="boxers", seat="full") | {"garments": [{"id": "trousers", "style": "boxers", "method": "one-piece-leg", "choices": {"seat": "full"}}]}, "garments.trousers.choices.seat", "does not use", "Leave it out"),
    ("a waist the method cannot have", job() | {"garments": [{"id": "trousers", "style": "palazzo", "method": "four-layer", "choices": {"waist_finish": "straight-band"}}]}, "garments.trousers.choices.waist_finish", "does not make", "casing"),
    ("cloth that stretches too far", job(cloth={"stretch_percent": 400}), "cloth.stretch_percent", "not a share", "0 to 200"),
    ("a band on a casing", job(waist_finish="casing", band="below"), "garments.trousers.choices.band", "no band", "band"),
    ("a choice out of range", job(hem=40), "garments.trousers.choices.hem", "too much", "to 5 in"),
    ("a waist far over the hip", job({"waist": 60}), "measurements.waist", "far over", "gathered waist"),
    ("cloth that cannot be", job(cloth={"width": 4}), "cloth.width", "cannot be", "selvedge to selvedge"),
    ("a fold nobody knows", job(cloth={"fold": "spiral"}), "cloth.fold", "spiral", "open"),
    ("a section nobody knows", job(cloth={"sections": {"sleeve": "open"}}), "cloth.sections", "sleeve", "front"),
    ("a repeat longer than the cloth", job(cloth={"length": "20 in", "repeat": "30 in"}), "cloth.repeat", "longer than", "one repeat"),
    ("a selvedge of a yard and a half", job(cloth={"selvedge": 54}), "cloth.selvedge", "too much", "39 in"),
    ("a price in words", job(cloth={"price": "dear"}), "cloth.price", "not a price", "4.50"),
    ("twenty-one garments", changed(["garments"], [MARIT["garments"][0]] * 21), "garments", "21 garments", "At most 20"),
    ("an id with spaces", changed(["garments", 0, "id"], "My Trousers"), "garments.My Trousers", "cannot be an id", "hyphens"),
    ("a short length", job(length=20), "garments.trousers.choices.length", "ends above", "longer"),
]  # fmt: skip


@pytest.mark.parametrize(("what", "given", "where", "says", "cure"), BAD, ids=[row[0] for row in BAD])
def test_a_bad_job_is_refused_with_its_place_and_cure(capsys, tmp_path, what, given, where, says, cure):
    code, out = run(capsys, tmp_path, given, "--json")
    assert code == 2
    reply = json.loads(out.out)
    assert (reply["format"], reply["version"]) == ("plavet-problems", 1)
    assert [p for p in reply["problems"] if p["where"] == where and says in p["what"] and cure in p["mend"]], reply
    code, out = run(capsys, tmp_path, given)
    assert code == 2
    assert any(line.startswith(f"{where}: ") and line.endswith(")") for line in out.err.splitlines())


def test_all_problems_come_at_once(capsys, tmp_path):
    made = job({"hip": "x", "waist": None, "wings": 3}, seat="square")
    made["extra"] = 1
    del made["extra"]
    _, out = run(capsys, tmp_path, made, "--json")
    assert {p["where"] for p in json.loads(out.out)["problems"]} >= {
        "measurements.hip", "measurements.wings", "garments.trousers.choices.seat",
    }  # fmt: skip


def test_narrow_cloth_gives_a_draft_and_a_stop(capsys, tmp_path):
    code, out = run(
        capsys,
        tmp_path,
        job({"hip": 56, "thigh": 34, "waist": 50}, cloth={"width": 36, "fold": "lengthwise-centre"}),
        "--json",
    )
    wire = json.loads(out.out)
    assert code == 0
    assert wire["lay"] is None
    stops = [f for f in wire["findings"] if f["weight"] == "stop"]
    assert {"lay.none", "fold.shallow"} == {f["code"] for f in stops}
    assert all("Open the cloth" in f["words"] for f in stops)


def test_files_are_written_and_words_are_printed(capsys, tmp_path):
    code, out = run(capsys, tmp_path, MARIT, "--out", str(tmp_path / "out"), "--formats", "json,svg")
    assert code == 0
    assert "Buy " in out.out
    assert "31 1/2" in out.out
    assert json.loads((tmp_path / "out/plan.json").read_text())["format"] == "plavet-plan"
    assert (tmp_path / "out/plan.svg").read_text().startswith("<svg")
    words = ["--out", str(tmp_path / "all"), "--formats", "pdf,cards,dxf,dxf-r12,hpgl,csv,svg", "--paper", "Letter"]
    assert run(capsys, tmp_path, MARIT, *words)[0] == 0
    tables = {"calls.csv", "cut-list.csv", "ledger.csv", "notions.csv", "numbers.csv"}
    drawings = {"pattern-letter.pdf", "pieces.dxf", "pieces-r12.dxf", "pieces.hpgl", "plan.svg", "lay.hpgl", "lay.svg"}
    cards = {"calls.pdf", "lay.pdf", "cut-list.pdf", "measurements.pdf", "sewing.pdf"}
    assert {one.name for one in (tmp_path / "all").iterdir()} == tables | drawings | cards
    page = pypdf.PdfReader(tmp_path / "all/calls.pdf").pages[0]
    assert float(page.mediabox.width) == pytest.approx(8.5 * 72), "on the paper that was asked for"


def test_the_plan_imports_no_search_and_no_scipy():
    code = "import sys, cutting.plan, cutting.formats; print([m for m in ('scipy', 'numba', 'cutting.lay.search') if m in sys.modules])"
    done = subprocess.run([sys.executable, "-c", code], cwd=ROOT, text=True, capture_output=True, check=True)
    assert done.stdout.strip() == "[]"


def test_every_mark_has_words_and_its_tape_on_the_cloth_reads_its_number(capsys, tmp_path):
    for style in ("palazzo", "straight-trousers"):
        for choices in (
            {},
            {"seat": "full", "seat_height": "drop-and-raise", "band": "inside"},
            {"marking": "on-paper"},
        ):
            _, out = run(capsys, tmp_path, job(style=style, **choices), "--json")
            marks = json.loads(out.out)["marks"]
            assert [mark["n"] for mark in marks] == list(range(1, len(marks) + 1))
            for mark in marks:
                assert all(mark[key] for key in ("name", "known", "say", "reason"))
                assert mark["along"] or mark["kind"] == "write"
                tape = [bool(mark[key]) for key in ("from", "formula", "with", "shown")]
                # One that is on a chalked point or at an edge of the cloth has nothing to read.
                there = mark["kind"] in ("line", "notch") and mark["reads_mm"] < 0.8
                assert set(tape) == {mark["kind"] in ("line", "point", "notch") and not there}
                (ax, ay), (bx, by) = mark["cloth_mm"]
                far = ((ax - bx) ** 2 + (ay - by) ** 2) ** 0.5
                if " edge, " not in mark["along"]:
                    assert far == pytest.approx(mark["reads_mm"], abs=0.2)


def test_on_open_cloth_no_call_speaks_of_a_fold(capsys, tmp_path):
    _, out = run(capsys, tmp_path, job(cloth={"fold": "open"}), "--json")
    marks = json.loads(out.out)["marks"]
    assert marks[0]["code"] == "guide"
    assert "the selvedge" in marks[0]["say"]
    assert not [mark["say"] for mark in marks if "fold" in mark["say"] + mark["from"]]
    _, out = run(capsys, tmp_path, job(), "--json")
    band = [mark for mark in json.loads(out.out)["marks"] if mark["panel"] == "band" and mark["from"] == "the fold"]
    assert {mark["shown"] for mark in band if mark["kind"] == "point"} == {"2 in"}


def test_several_files_give_a_plan_a_line_and_what_is_wrong_with_one_stops_none(capsys, tmp_path):
    paths = []
    for name, raw in (("one", job()), ("two", job({"hip": None})), ("three", job(style="shorts"))):
        paths.append(tmp_path / f"{name}.json")
        paths[-1].write_text(json.dumps(raw))
    files = [str(path) for path in paths]
    assert main([*files, "--json"]) == 2
    lines = [json.loads(line) for line in capsys.readouterr().out.splitlines()]
    assert [line["format"] for line in lines] == ["plavet-plan", "plavet-problems", "plavet-plan"]
    assert lines[1]["job"] == files[1]
    assert main([files[0], files[2], "--out", str(tmp_path / "out"), "--formats", "json"]) == 0
    assert {path.name for path in (tmp_path / "out").iterdir()} == {"one", "three"}
    capsys.readouterr()
    main(files)
    assert f"{files[1]}: measurements.hip" in capsys.readouterr().err


def test_without_a_search_neither_its_compiler_nor_scipy_is_loaded(tmp_path):
    """A job that asks for no search answers in the time of its draft."""
    path = tmp_path / "job.json"
    path.write_text(json.dumps(job() | {"lay": {"seconds": 0}}))
    asked = f"import sys; from cutting.cli import main; main([{str(path)!r}]); print(sorted(sys.modules))"
    done = subprocess.run([sys.executable, "-c", asked], cwd=ROOT, text=True, capture_output=True, check=True)
    loaded = done.stdout.splitlines()[-1]
    assert "cutting.plan" in loaded
    assert not [name for name in ("numba", "scipy", "ortools") if f"'{name}'" in loaded]
