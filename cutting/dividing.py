"""How a whole cloth is divided: folded in one way, or in sections; several outfits spread by spread. The first lay."""

from collections.abc import Collection, Sequence
from math import inf

from cutting.cloth import FOLDS, PARTS, SECTION_FOLDS, USUAL_FOLDS, Cloth
from cutting.lay import Laid, Section
from cutting.laying import Laying
from cutting.pieces import Piece

SPREAD = 36
"""How many parts are cut from one spread of the cloth at most, in whole outfits. Our own choice: more are neither
marked on one table nor searched well.
"""


def first_laid(laying: Laying) -> Laid:
    """The fold that was chosen, or with `auto` the first usual one that holds every piece, and its lay.

    Where the cloth in hand is too short folded, and long enough open, it is opened.
    """
    cloth = laying.cloth
    opened = divided(laying, cloth, "open")
    if cloth.fold == "open":
        return Laid(opened, first_length(opened))
    if cloth.fold in FOLDS:
        return Laid(divided(laying, cloth, cloth.fold), first_length(opened))
    usual = divided(laying, cloth, USUAL_FOLDS[0])
    if first_length(usual) is None and first_length(opened) is not None:
        usual = opened
    if cloth.fold == "auto" and not _enough(first_length(usual), cloth) and _enough(first_length(opened), cloth):
        usual = opened
    if cloth.fold == "auto" or len(laying.outfits) > 1:
        return Laid(usual, first_length(opened))
    return Laid(divided(laying, cloth, cloth.fold), first_length(opened), first_length(usual))


def _enough(length: float | None, cloth: Cloth) -> bool:
    """Whether the cloth in hand is long enough for a lay of so many mm with what is trimmed and shrinks."""
    if length is None or cloth.length is None:
        return length is not None
    whole = length / (1 - float(cloth.shrink_percent) / 100) + float(cloth.trim) + float(cloth.spare)
    return whole <= float(cloth.length)


def divided(laying: Laying, cloth: Cloth, fold: str) -> tuple[Section, ...]:
    """The whole cloth folded so; several outfits spread by spread. With `sections`, one for the fronts, one for the
    backs, and the small parts where they cost least: beside those, or in a section of their own.
    """
    whole = [one for one in FOLDS if one == fold]
    if whole and len(laying.outfits) > 1:
        return tuple(
            laying.section(cloth, whole[0], f"spread-{number}", ids) for number, ids in enumerate(_spreads(laying), 1)
        )
    return (laying.section(cloth, whole[0]),) if whole else _sections(laying, cloth)


def first_length(sections: Sequence[Section]) -> float | None:
    """The first lay of them all, in mm; None where one has none."""
    lays = [one.best for one in sections if one.best is not None]
    return sum(one.lay.length for one in lays) if len(lays) == len(sections) else None


def part_of(piece: Piece) -> str:
    """Which section a piece is cut from where cloth is folded anew for each part: front, back, rest."""
    main = {"front": "front", "leg": "front", "back": "back"}
    return main.get(piece.panel, "rest")


def with_small(section: Section) -> bool:
    """Whether small parts are beside what a section is named by."""
    return any(part_of(piece) != section.name for piece in section.pieces)


def _spreads(laying: Laying) -> list[set[str]]:
    """The pieces of as many whole outfits as go into one spread."""
    spreads: list[set[str]] = [set()]
    for owned in laying.owned:
        own = {piece.id for piece in laying.pieces("open") if piece.garment in owned}
        if spreads[-1] and len(spreads[-1]) + len(own) > SPREAD:
            spreads.append(set())
        spreads[-1] |= own
    return [ids for ids in spreads if ids]


def _sections(laying: Laying, cloth: Cloth) -> tuple[Section, ...]:
    parts: dict[str, list[str]] = {}
    for piece in laying.pieces("open"):
        parts.setdefault(part_of(piece), []).append(piece.id)
    chosen = dict(cloth.sections)
    made = {
        part: _folded(laying, cloth, part, parts[part], chosen.get(part, "auto")) for part in PARTS if part in parts
    }
    if chosen.get("rest", "auto") == "auto" and "rest" in made and len(made) > 1:
        made = _beside(laying, cloth, made)
    return tuple(made.values())


def _folded(laying: Laying, cloth: Cloth, part: str, only: Collection[str], fold: str) -> Section:
    """The fold that was chosen for a part, or that on which its first lay is shortest."""
    wanted = [one for one in FOLDS if one == fold] or list(SECTION_FOLDS)
    tried = [laying.section(cloth, one, part, only) for one in wanted]
    return min(tried, key=lambda one: one.best.lay.length if one.best is not None else inf)


def _beside(laying: Laying, cloth: Cloth, made: dict[str, Section]) -> dict[str, Section]:
    """Each small part, largest first, in the section that it lengthens least; their own begins empty."""
    small = sorted(made["rest"].pieces, key=lambda piece: -piece.width * piece.height)
    ids = {name: [piece.id for piece in section.pieces] for name, section in made.items()} | {"rest": []}
    lengths = {name: one.best.lay.length if one.best else inf for name, one in made.items()} | {"rest": 0.0}
    for piece in small:
        tried = {name: laying.in_one_pass(cloth, made[name].table.fold, [*ids[name], piece.id]) for name in made}
        name = min(tried, key=lambda name: tried[name] - lengths[name] if tried[name] < inf else inf)
        ids[name].append(piece.id)
        lengths[name] = tried[name]
    return {name: laying.section(cloth, made[name].table.fold, name, own) for name, own in ids.items() if own}
