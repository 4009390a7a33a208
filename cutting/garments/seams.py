"""What is sewn to what: each seam by its code, with the edges on both sides of it."""

from collections.abc import Collection, Iterable
from dataclasses import dataclass
from typing import Literal

SeamCode = Literal[
    "side", "inner_leg", "crotch", "waist", "strip", "ring", "channel", "tie", "loops", "fly", "pocket", "patch",
    "piping", "shoulder", "armhole", "underarm", "neck", "centre", "binding", "cuff", "shield",
]  # fmt: skip


@dataclass(frozen=True)
class Seam:
    """Places of `one` side are sewn to those of the `other`, so many times in the garment.

    A place is `panel.edge`, `panel.line` for a line drawn inside a panel, or a panel that it is sewn on to.
    """

    code: SeamCode
    one: tuple[str, ...]
    other: tuple[str, ...]
    count: int = 1

    def across(self, place: str) -> tuple[str, ...]:
        """What a place is sewn to by this seam."""
        return self.other if place in self.one else self.one if place in self.other else ()


def sewn(code: SeamCode, one: str, *other: str, count: int = 1) -> Seam:
    """A seam of one place to others."""
    return Seam(code, (one,), other, count)


def across(seams: Iterable[Seam], place: str) -> tuple[str, ...]:
    """What a place is sewn to by the first seam that has it."""
    return next((to for seam in seams if (to := seam.across(place))), ())


def leg_seams(panels: Collection[str], shaped: bool) -> tuple[Seam, ...]:
    """The seams of the legs: sides with the strips that were cut off them, inner legs, each crotch to its twin's.

    `shaped` where the bands are such strips.
    """
    if "leg" in panels:
        return (
            sewn("inner_leg", "leg.inner_leg", "leg.back_inner_leg", count=2),
            sewn("crotch", "leg.crotch", "leg.crotch"),
            sewn("crotch", "leg.back_crotch", "leg.back_crotch"),
        )
    strips = {name: f"{name}.side" for name in ("front-band", "back-band", "yoke") if name in panels}
    front = tuple(strips[name] for name in ("front-band",) if name in strips and shaped)
    back = tuple(strips[name] for name in ("back-band", "yoke") if name in strips and (shaped or name == "yoke"))
    return (
        Seam("side", (*front, "front.side"), (*back, "back.side"), 2),
        sewn("inner_leg", "front.inner_leg", "back.inner_leg", count=2),
        sewn("crotch", "front.crotch", "front.crotch"),
        sewn("crotch", "back.crotch", "back.crotch"),
    )


def top_seams(panels: Collection[str], zip_in: str = "") -> tuple[Seam, ...]:
    """The seams of a top: shoulders, sides, a zip's two edges, the sleeve's underarm and its cap in the armhole."""
    seams = [
        sewn("shoulder", "front.shoulder", "back.shoulder", count=2),
        sewn("side", "front.side", "back.side", count=2),
    ]
    if zip_in:
        seams.append(sewn("centre", f"{zip_in}.centre", f"{zip_in}.centre"))
    if "sleeve" in panels:
        seams += [
            sewn("armhole", "sleeve.cap", "front.armhole", count=2),
            sewn("armhole", "sleeve.back_cap", "back.armhole", count=2),
            sewn("underarm", "sleeve.underarm", "sleeve.back_underarm", count=2),
        ]
    return tuple(seams)
