"""Practising: drills, answers graded, and what is learned."""

from datetime import datetime
from secrets import randbelow
from typing import Annotated
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Query, Router, Schema

from shop.api.auth import person
from shop.bridge.practice import CLIENTS, DrillShape, GradeShape, practice_drill, rule_name, slip_name
from shop.plans.pace import check_pace
from shop.practice import actions, queries

router = Router(tags=["practice"])


class DrillAnswerIn(Schema):
    """An answer to one question of a drill: which, of the invented client of that seed, as typed."""

    method: str = Field(min_length=1, max_length=40)
    style: str = Field(min_length=1, max_length=40)
    rule: str = Field(min_length=1, max_length=60)
    seed: int = Field(ge=0, lt=CLIENTS)
    typed: str = Field(min_length=1, max_length=40)


class CallAnswerIn(Schema):
    """The number of a call of the plan that the page shows, worked out before it is shown."""

    plan: UUID
    stamp: str = Field(max_length=16)
    call: int = Field(ge=1, le=10_000)
    typed: str = Field(min_length=1, max_length=40)


class LearnedOut(Schema):
    """How one rule goes; `rule` is empty for calls at the table. `last` are the last answers, the last one first; when
    `in_a_row` of them are right, it is learned.
    """

    rule: str
    name: str
    asked: int
    right: int
    last: list[bool]
    in_a_row: int = queries.IN_A_ROW
    learned: bool
    slip: str = Field(description="the commonest slip in words, empty for none")
    last_at: datetime


class LearnerOut(Schema):
    """Somebody who works here, and how practising goes; a rule is learned by `in_a_row` right answers."""

    id: UUID
    name: str
    asked: int
    right: int
    rules: int
    learned: int
    in_a_row: int = queries.IN_A_ROW
    last_at: datetime | None


@router.get("/drills/{method}", response=DrillShape)
def drill(
    request: HttpRequest,
    method: str,
    style: Annotated[str, Query(max_length=40)] = "straight-trousers",
    rule: Annotated[str, Query(max_length=60)] = "",
    seed: Annotated[int | None, Query(ge=0, lt=CLIENTS)] = None,
) -> DrillShape:
    """Questions on invented clients: several rules on one, or with a rule the same on several; on any where no seed is
    given.
    """
    check_pace(person(request))
    return practice_drill(
        method, style, randbelow(CLIENTS) if seed is None else seed, person(request).workshop.unit, rule
    )


@router.put("/drill-answers/{id}", response=GradeShape)
def answer_drill(request: HttpRequest, id: UUID, body: DrillAnswerIn) -> GradeShape:
    """Answer one question of a drill."""
    check_pace(person(request))
    return actions.answer_drill(actor=person(request), id=id, **body.dict())


@router.put("/call-answers/{id}", response=GradeShape)
def answer_call(request: HttpRequest, id: UUID, body: CallAnswerIn) -> GradeShape:
    """Answer a call whose number is hidden."""
    check_pace(person(request))
    return actions.answer_call(
        actor=person(request), id=id, plan_run=body.plan, stamp=body.stamp, call=body.call, typed=body.typed
    )


@router.get("/learned", response=list[LearnedOut])
def learned(request: HttpRequest, who: UUID | None = None) -> list[LearnedOut]:
    """What somebody has learned, rule by rule; oneself where nobody is named."""
    return [
        LearnedOut(
            **{key: getattr(one, key) for key in ("rule", "asked", "right", "last_at")}, last=list(one.last),
            learned=one.is_learned, name=rule_name(one.rule) if one.rule else "At the table",
            slip=slip_name(one.slip) if one.slip else "",
        )
        for one in queries.learned(person(request), who)
    ]  # fmt: skip


@router.get("/learners", response=list[LearnerOut])
def learners(request: HttpRequest, page: Annotated[int, Query(ge=1, le=10_000)] = 1) -> list[LearnerOut]:
    """Everybody who works here and how practising goes, for an owner."""
    return [LearnerOut(**vars(one)) for one in queries.learners(person(request), page)]
