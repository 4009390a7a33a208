"""A drill: numbers of a draft that a hand can work out from the measures, asked on clients that nobody knows.

By method: several rules on one client. By rule: one rule on several clients.
"""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from cutting.body import Body, invented
from cutting.errors import CuttingError
from cutting.kinds import kind_of
from cutting.lengths import Found, Length, Measured, Scaled, Sum, Unit, on_tape, read, total

EIGHT = 8
"""So many questions a drill."""
LEAN = 1.6
"""What a seam's lean adds up to a sixteenth of an inch, in mm, no hand works out: it is left out of the answer."""
SEEDS = 1_000_000
"""Clients are numbered below this."""


@dataclass(frozen=True)
class Question:
    """A number by its key without the garment's id: `answer` as the tape reads it at the table, `net` between the
    sewing lines.
    """

    rule: str
    answer: Length
    net: Length

    @property
    def measured(self) -> frozenset[str]:
        """The measures that are in the sum, by their keys."""
        return frozenset(leaf.key for leaf in _leaves(self.answer) if isinstance(leaf, Measured))


@dataclass(frozen=True)
class Asked:
    """A question on the client of that seed, whose `measures` are as they were written down."""

    seed: int
    measures: dict[str, str]
    question: Question


def questions(measures: dict[str, str], method: str, style: str, unit: Unit) -> tuple[Question, ...]:
    """What can be asked of a style by a method, in the order of the draft: sums of the client's measures and of what
    the rules give, each once. Raises CuttingError where it cannot be drafted.
    """
    body = Body({key: read(text, unit) for key, text in measures.items()})
    kind = kind_of(style)
    with on_tape(unit):
        garment = kind.draft("drill", method, body, kind.resolve(method, style, {}, None, False))
        found: dict[Length, Question] = {}
        for rule, number in garment.numbers.items():
            answer = by_hand(number.cut)
            if answer is not None:
                found.setdefault(answer, Question(rule, answer, number.net))
        return tuple(found.values())


@dataclass(frozen=True)
class Drill:
    """What is asked, and the rules of the method that can be asked by themselves, in the order of the draft."""

    asked: tuple[Asked, ...]
    rules: tuple[str, ...]


def drill(method: str, style: str, seed: int, unit: Unit, rule: str = "") -> Drill:
    """Up to eight questions: of one client, or with a rule the same of as many clients, from that seed on.

    Raises CuttingError where the style cannot be drafted.
    """
    first = _of_client(method, style, seed, unit)
    rules = tuple(one.question.rule for one in first)
    if not rule:
        kept = sorted(np.random.default_rng(seed).permutation(len(first))[:EIGHT])
        return Drill(tuple(first[k] for k in kept), rules)
    clients = [first, *(_of_client(method, style, (seed + k) % SEEDS, unit) for k in range(1, EIGHT))]
    return Drill(tuple(one for asked in clients for one in asked if one.question.rule == rule), rules)


def question_of(method: str, style: str, seed: int, unit: Unit, rule: str) -> Question | None:
    """One question on the client of that seed; None where there is none of that rule."""
    asked = _of_client(method, style, seed, unit)
    return next((one.question for one in asked if one.question.rule == rule), None)


def _of_client(method: str, style: str, seed: int, unit: Unit) -> list[Asked]:
    measures = invented(seed, unit)
    try:
        made = questions(measures, method, style, unit)
    except CuttingError:
        # Some methods refuse some bodies: another one is asked then.
        measures = invented(seed + SEEDS, unit)
        made = questions(measures, method, style, unit)
    return [Asked(seed, measures, one) for one in made]


def by_hand(length: Length) -> Length | None:
    """The sum as a hand has it, without a seam's little lean; None for what cannot be worked out from measures."""
    terms = length.terms if isinstance(length, Sum) else (length,)
    kept = [one for one in terms if not (isinstance(one, Found) and one.label == "lean" and abs(one.mm) <= LEAN)]
    leaves = [leaf for term in kept for leaf in _leaves(term)]
    if any(isinstance(one, Found) for one in leaves) or not any(isinstance(one, Measured) for one in leaves):
        return None
    answer = total(*kept)
    return answer if answer.mm > 0 else None


def _leaves(length: Length) -> Iterator[Length]:
    if isinstance(length, Sum):
        for term in length.terms:
            yield from _leaves(term)
    elif isinstance(length, Scaled):
        yield from _leaves(length.of)
    else:
        yield length
