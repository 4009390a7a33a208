"""What a choice moves: the panel where it shows most, as it stands and as it would be, on this client's own draft."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from fractions import Fraction
from typing import Any, Literal, TypeAlias

from cutting.body import Body
from cutting.choosing import SUM_OF, Row, asked
from cutting.cloth import Cloth
from cutting.errors import CuttingError
from cutting.geometry import Apart, Point, apart, least_box
from cutting.kinds import kind_of
from cutting.lengths import Fixed
from cutting.pieces import Panel

Lines: TypeAlias = list[list[Point]]
View: TypeAlias = tuple[float, float, float, float]
Way = Literal["rule", "more", "less"]

FLAT = 1.0
"""Curves are drawn by so many mm near enough."""
ROOM = 60.0
"""Shown round what differs, mm."""
SEEN = 1.5
"""What moves less is not seen, mm; more than a curve's drawing is off."""
LEAST = 320.0
"""A drawing shows at least so many mm across and down, so that one sees where on the panel it is."""


@dataclass(frozen=True)
class Move:
    """One choice made otherwise: by another rule, or so much more or less. `of` is the set it is one of (an allowance).

    `lines` are those of the panel as they would be, `was` as they stand; a panel that comes anew has none. `view` is
    what differs, with room round it: left, top, across and down. In mm, in the panel's draft frame.
    """

    choice: str
    of: str
    way: Way
    rule: str
    panel: str
    lines: Lines
    was: Lines
    view: View


def moves(
    body: Body, method: str, style: str, chosen: dict[str, Any], cloth: Cloth, joined: bool, choice: str, of: str,
    more: Fixed,
) -> list[Move]:  # fmt: skip
    """What every other rule of a choice would move, or `more` of a length; nothing where nothing moves, where it cannot
    be drafted so, and where the choice is not asked. `of` is the set it is one of.

    Raises CuttingError where the draft as it stands cannot be made.
    """
    kind = kind_of(style)
    row = next(
        (row for row in asked(kind, method, style, chosen, cloth, joined) if (row.key, row.of) == (choice, of)), None
    )
    if row is None:
        return []

    def asks(choices: dict[str, Any]) -> Any:
        kept = {key: value for key, value in choices.items() if key not in kind.unused(method)}
        return kind.resolve(method, style, kept, cloth, joined)

    ask = asks(chosen)
    now = kind.panels(style, method, body, ask)
    found: list[Move] = []
    for way, rule, choices in _others(row, chosen, ask, kind.sums(body, method, ask), more):
        try:
            then = kind.panels(style, method, body, asks(choices))
        except CuttingError:
            continue
        if any(not panel.sound for key, panel in then.items() if key not in now or panel.edges != now[key].edges):
            continue
        moved = moved_panel(now, then, row.key)
        if moved:
            found.append(Move(row.key, row.of, way, rule, moved.panel, moved.lines, moved.was, moved.view))
    return _alike(found)


def _alike(found: list[Move]) -> list[Move]:
    """All that a choice moves on one panel seen from one place, so that the drawings are compared."""
    views: dict[str, View] = {}
    for one in found:
        views[one.panel] = _both(views.get(one.panel, one.view), one.view)
    return [replace(one, view=views[one.panel]) for one in found]


def _both(one: View, other: View) -> View:
    """The square round two squares."""
    right, low = max(one[0] + one[2], other[0] + other[2]), max(one[1] + one[3], other[1] + other[3])
    left, top = min(one[0], other[0]), min(one[1], other[1])
    side = max(right - left, low - top)
    return ((left + right - side) / 2, (top + low - side) / 2, side, side)


def _others(
    row: Row, chosen: dict[str, Any], ask: Any, sums: dict[str, float], more: Fixed
) -> Iterator[tuple[Way, str, dict[str, Any]]]:
    """Every other way to make a choice: (how, its rule, all choices with it)."""
    key, kind = row.key, row.choice.kind
    if kind == "list":
        had = tuple(getattr(ask, key))
        for word in row.choice.offered[1:]:
            other = tuple(one for one in had if one != word) if word in had else (*had, word)
            yield "rule", word, chosen | {key: other}
    elif kind in ("rule", "rule-or-length") and len(row.rules) > 1:
        for rule in row.rules:
            if rule != getattr(ask, key):
                yield "rule", rule, chosen | {key: rule}
    elif kind in ("length", "rule-or-length", "allowances"):
        own = getattr(ask.allowances if row.of else ask, key)
        by_style = sums.get(SUM_OF.get(key, ""))
        if not isinstance(own, Fixed) and by_style is not None:
            own = Fixed(Fraction(round(by_style)))
        if not isinstance(own, Fixed):
            return
        ends: tuple[tuple[Way, Fraction], ...] = (("more", own.size + more.size), ("less", own.size - more.size))
        for way, size in ends:
            if row.choice.least <= size <= row.choice.most:
                to = {key: Fixed(size)}
                yield way, "", chosen | ({"allowances": replace(ask.allowances, **to)} if row.of else to)
                return


@dataclass(frozen=True)
class Moved:
    """A panel's lines as they would be, and as they stand; `view` is what differs, with room round it."""

    panel: str
    lines: Lines
    was: Lines
    view: View


def moved_panel(now: dict[str, Panel], then: dict[str, Panel], choice: str = "") -> Moved | None:
    """The panel that another draft moves most, or the one that a choice is called after; None where nothing moves."""
    found = _moved(now, then, choice)
    if found is None:
        return None
    panel, lines, was, off = found
    return Moved(panel, lines, was, _square(off))


def _moved(now: dict[str, Panel], then: dict[str, Panel], choice: str) -> tuple[str, Lines, Lines, Apart] | None:
    """The panel that differs most, with its lines then and now, and how far they are apart. It is the one the choice is
    called after, else the one that goes furthest; one that is there only then, where no other differs.
    """
    found = [
        (not choice.startswith(f"{name}_"), -round(off.far, 1), name, lines, was, off)
        for name in sorted(now.keys() & then.keys())
        for lines, was in _pairs(then[name], now[name])
        if (off := apart(lines, was, SEEN))
    ]
    new = sorted(then.keys() - now.keys())
    if found:
        return min(found, key=lambda one: one[:3])[2:]
    if not new:
        return None
    lines = _lines(then[new[0]])
    points = [point for line in lines for point in line]
    return new[0], lines, [], Apart(0.0, *least_box(points))


def _pairs(one: Panel, other: Panel) -> list[tuple[Lines, Lines]]:
    """What is compared of a panel: what is drawn of it, and if that is the same all of it with its cut line."""
    mine, theirs = _lines(one), _lines(other)
    if mine != theirs:
        return [(mine, theirs)]
    if one.edges == other.edges or one.cut == other.cut:
        return []
    return [([*mine, _closed(one.cut)], [*theirs, _closed(other.cut)])]


def _lines(panel: Panel) -> Lines:
    """The sewing line, the darts and what is drawn inside."""
    net = [point for edge in panel.edges.values() for point in edge.path.flat(FLAT)[:-1]]
    darts = [[dart.near, dart.tip, dart.far] for dart in panel.darts]
    return [_closed(net), *darts, *(line.flat(FLAT) for line in panel.lines.values())]


def _closed(outline: list[Point]) -> list[Point]:
    return [*outline, outline[0]]


def _square(off: Apart) -> View:
    """Round what is apart, with room, and no smaller than one can see where it is."""
    across, down = off.right - off.left, off.low - off.top
    side = max(LEAST, across + 2 * ROOM, down + 2 * ROOM)
    return ((off.left + off.right - side) / 2, (off.top + off.low - side) / 2, side, side)
