"""Calls in words: what something chalked is called, how a tape to it is said, what a stroke goes through."""

import re
from functools import lru_cache

from cutting.calls import UNREAD, Along, Call, Name, curves
from cutting.words.en.marks import KNOWN, mark_title, panel_name
from cutting.words.language import CallWords

EDGES = {
    "crotch": "centre", "back_crotch": "back centre", "inner_leg": "inner leg", "back_inner_leg": "back inner leg",
    "other_end": "other end", "other_side": "other side", "inside": "inner edge", "inner": "inner edge", "outer": "outer edge",
    "lower": "lower edge", "middle": "middle edge", "bag": "bag's round", "opening": "opening", "mouth": "mouth",
    "cap": "front cap", "back_cap": "back cap", "underarm": "front underarm", "back_underarm": "back underarm",
    "end": "end", "top": "top", "foot": "foot",
}  # fmt: skip
"""What an edge is called where that is not its own name."""
NOTCHES = {
    "hip": "at the hip", "knee": "at the knee", "leg_line": "at the leg line", "front": "of the front", "back": "of the back",
    "zip_end": "at the zip's end", "dart": "of the dart", "opening_end": "at the opening's end", "pocket_end": "at the pocket's end",
    "pocket_top": "at the pocket's top", "slit": "at the slit's end", "channel": "at the channel", "shoulder": "at the shoulder",
    "centre": "at the centre", "side": "at the side", "overlap": "at the overlap", "fly_width": "at the fly",
}  # fmt: skip
DART = {
    "middle": ("middle", "The dart's middle on the cut edge."),
    "one": ("leg nearer the start of the edge", "Half of what the dart takes in."),
    "other": ("leg nearer the end of the edge", "The same to the other side."),
    "point": ("point", "The dart ends here."),
}  # fmt: skip
LEGS_OF_WAIST = {"one": "leg nearer the centre", "other": "leg nearer the side"}
NUMBERED = re.compile(r"(point|corner|edge) \d")
"""What is told apart by a number has no article."""
NUMBERS = ("", "first ", "second ", "third ", "fourth ", "fifth ")
TOWARDS = {
    "fold": "the fold", "near_fold": "the near fold", "far_fold": "the far fold", "selvedge": "the selvedge", "cut_ends": "the cut ends", "near_selvedge": "the near selvedge", "far_selvedge": "the far selvedge",
    "body_top": "the waist", "body_foot": "the hem", "neck_top": "the neck", "part_top": "its top", "part_foot": "its foot",
    "from_guide": "", "to_guide": "",
}  # fmt: skip
ON_PAPER = {"from_guide": "away from the guide line", "to_guide": "towards the guide line"}
OF_THE_PIECE = {"written": "the writing", "slit": "the fold, cut open"}
REASONS = {
    "corner_of": "Two cut edges meet here.",
    "level_of": "Square to the grain: mark the height twice, so that it comes out level.",
    "point_of": "The edge passes here.",
    "edge_of": "The line that is cut.",
    "line_of": "Inside the piece: it is chalked now, and cut only when it is sewn, if at all.",
    "notch_on": "Cut into the seam allowance: it meets the notch on the edge this one is sewn to.",
    "end_of": "Inside, on the sewing line.",
    "centre_line": "The straight part of the centre, drawn on up to the top.",
    "slit": "The piece reaches to the fold and is not cut on it: cut the fold open here, so that left and right come apart.",
    "written": "In the allowance: the client, the piece, which end is up, and which of a pair it is.",
}  # fmt: skip


def call_words(call: Call) -> CallWords:
    """A call's name, what it is known by afterwards, its reason, from where and along what its tape runs."""
    title, reason = _title(call.panel, call.name)
    start, along = "", ""
    if call.source is not None and call.along is not None:
        start, along = _from(call), _along(call.panel, call.along)
        along = ", ".join(part for part in (along, _towards(call.towards)) if part)
        if is_there(call):
            start, along = "", f"at {start}"
    elif call.kind == "meet":
        lines = [chalk_name(call.panel, name) for name in call.through]
        along = f"where {lines[0]} and {lines[1]} cross" if len(lines) == 2 else f"at {lines[0]}"
    elif call.kind in ("join", "curve"):
        along = _stroke(call)
    elif call.kind == "slit":
        along = "along the fold"
    if call.inside:
        along += ", on the sewing line"
    elif call.aside:
        along += ", not on the edge"
    return CallWords(title, chalk_name(call.panel, call.name), reason, start, along)


def is_there(call: Call) -> bool:
    """Whether a notch or a first line of a piece is on what its tape would start at: there is nothing to measure."""
    nothing = call.length is not None and abs(call.length.mm) < UNREAD
    return nothing and (call.kind == "notch" or call.stage == "place")


def call_say(named: str, shown: str, start: str, along: str) -> str:
    """A call in one sentence."""
    tape = f"{shown} from {start}, {along}" if start else along
    return f"{named}: {tape}" if tape else named


@lru_cache(4096)
def chalk_name(panel: str, name: Name) -> str:
    """What something chalked is called in a sentence: the same wherever it is spoken of."""
    if name.panel:
        bare = chalk_name(name.panel, name._replace(panel="")).removeprefix("the ")
        return f"the {panel_name(name.panel)}'s {bare}"
    made = _structured(panel, name)
    if made is not None:
        return made if NUMBERED.match(made) else f"the {made}"
    if name.code in OF_THE_PIECE:
        return OF_THE_PIECE[name.code]
    return KNOWN.get(name.code) or f"the mark “{mark_title(panel, name.code).name}”"


def _structured(panel: str, name: Name) -> str | None:
    """What is named by its edges rather than by a code of a method, without an article."""
    if not name.of:
        return None
    of = [_edge(edge) for edge in name.of]
    if name.code == "corner_of":
        if len(of) == 1:
            return f"corner {name.nth} of {_the(of[0])}"
        if all(map(NUMBERED.match, of)) and not name.nth:
            # Of a house pattern: the corner at which the second edge begins.
            return f"corner {of[1].removeprefix('edge ')}"
        return f"corner of {of[0]} and {of[1]}" + (f", {name.nth}" if name.nth else "")
    if name.code == "level_of":
        return f"level of {chalk_name(panel, Name(name.of[0], name.of[1:], name.nth))}"
    if name.code == "point_of":
        return f"point {name.nth} of {_the(_edge(name.of[0]))}{_part(name)}"
    if name.code == "edge_of":
        called = of[0] if NUMBERED.match(of[0]) else f"{of[0].removesuffix(' edge')} edge"
        return called + (f", part {name.nth}" if name.nth else "")
    if name.code == "line_of":
        return f"line of the {of[0]}"
    if name.code == "dart_of":
        side = (LEGS_OF_WAIST if name.of[0] in ("waist", "lower") else {}).get(name.of[1], DART[name.of[1]][0])
        return f"{NUMBERS[name.nth]}dart's {side}"
    if name.code == "notch_on":
        which = f", {name.nth}" if name.nth > 1 else ""
        return f"notch {NOTCHES.get(name.of[1], 'at the seam')} on {_the(of[0])}{which}"
    if name.code == "end_of":
        return f"{NUMBERS[name.nth]}end of the {name.of[0].replace('_', ' ').replace('-', ' ')}"
    return None


def _the(edge: str) -> str:
    """An edge in a sentence: one that has a number only, of a house pattern, has no article."""
    return edge if NUMBERED.match(edge) else f"the {edge}"


def _part(name: Name) -> str:
    return f", part {name.of[1]}" if len(name.of) > 1 else ""


def _edge(code: str) -> str:
    return EDGES.get(code, code.replace("_", " ").replace("-", " "))


def _title(panel: str, name: Name) -> tuple[str, str]:
    """A call's name and its reason."""
    if name.code == "written":
        return "Write on it", REASONS["written"]
    if name.code == "slit":
        return "Cut the fold open", REASONS["slit"]
    if name.code == "centre_line":
        return "Centre line", REASONS["centre_line"]
    made = _structured(panel, name)
    if made is None:
        words = mark_title(panel, name.code)
        return words.name, words.reason
    reason = DART[name.of[1]][1] if name.code == "dart_of" else REASONS[name.code]
    return made[0].upper() + made[1:], reason


def _from(call: Call) -> str:
    assert call.source is not None
    assert call.along is not None
    if call.along.code in ("half", "quarter"):
        one, other = (chalk_name(call.panel, name) for name in call.along.of)
        return (
            f"halfway between {one} and {other}"
            if call.along.code == "half"
            else f"a quarter of the way from {one} to {other}"
        )
    return chalk_name(call.panel, call.source)


def _along(panel: str, along: Along) -> str:
    """How the tape runs."""
    of = [chalk_name(panel, name) for name in along.of]
    return {
        "line": "along {}", "grain": "along the grain", "level": "square to the grain", "diagonal": "at half a right angle",
        "meets": "swung until it meets {}", "half": "square to the line between them", "quarter": "square to the line between them",
        "edge": "along {}", "inside": "square to the edge, into the piece",
        "across_cloth": "straight across the cloth", "along_cloth": "along the selvedge",
    }[along.code].format(*of)  # fmt: skip


def _towards(codes: tuple[str, ...]) -> str:
    """Which way, in the words of the table."""
    words = [ON_PAPER.get(code) or f"towards {TOWARDS[code]}" for code in codes]
    return " and ".join(words)


def _stroke(call: Call) -> str:
    """What a stroke goes through, straight or curved, and where each curve is hollow."""
    names = [chalk_name(call.panel, name) for name in call.through]
    said, before, curved = [f"from {names[0]}"], 0, curves(call.bends)
    # A plan from before core 0.20 has no hollows.
    hollows: tuple[tuple[str, ...], ...] = call.hollows or ((),) * len(curved)
    for (start, end), hollow in zip(curved, hollows, strict=True):
        said += [f"straight to {name}" for name in names[before + 1 : start + 1]]
        between = names[start + 1 : end]
        said.append(f"a curve{f' through {_listed(between)}' if between else ''} to {names[end]}")
        said += [f"hollow {_towards(hollow)}"] if hollow else []
        before = end
    return ", ".join([*said, *(f"straight to {name}" for name in names[before + 1 :])])


def _listed(names: list[str]) -> str:
    return names[0] if len(names) == 1 else f"{', '.join(names[:-1])} and {names[-1]}"
