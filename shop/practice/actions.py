"""Answering: a question of a drill, or a call at the table whose number is hidden."""

from typing import Any
from uuid import UUID

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, own
from shop.bridge.practice import GradeShape, grade, grade_call
from shop.chalk.actions import MovedError
from shop.chalk.models import Chalking
from shop.chalk.queries import chalked_plan
from shop.clients import seen
from shop.plans.models import PlanRun
from shop.plans.queries import best
from shop.practice.models import Answer

MOST = 50_000
"""So many answers of a person are kept: some thirty a day for five years."""


def answer_drill(*, actor: User, id: UUID, method: str, style: str, rule: str, seed: int, typed: str) -> GradeShape:
    """Grade an answer to a drill's question and keep it; the same id again is the same answer. Raises CoreRefusal."""
    allow(actor, "practise")
    found = grade(method, style, seed, actor.workshop.unit, rule, typed)
    _keep(actor, id, found, typed, method=method, rule=rule)
    return found


def answer_call(*, actor: User, id: UUID, plan_run: UUID, stamp: str, call: int, typed: str) -> GradeShape:
    """Grade the number of a call that somebody worked out before it is shown, and keep it. Raises CoreRefusal, and
    MovedError where the page shows another plan than the one that is chalked or would be.
    """
    allow(actor, "practise")
    run = own(PlanRun, actor, plan_run)
    found = grade_call(_plan(actor, run, stamp), call, typed, actor.workshop.unit)
    seen.note(actor, [run.order.client_id], "measures")
    _keep(actor, id, found)
    return found


def _plan(actor: User, run: PlanRun, stamp: str) -> dict[str, Any]:
    """The plan that the page shows: the one that is chalked, else as it is to be cut."""
    chalking = Chalking.of(actor.workshop).filter(plan_run=run, stamp=stamp).order_by("-created_at").first()
    if chalking is not None:
        return chalked_plan(chalking)
    found = best(actor.workshop, run)
    if found.stamp != stamp:
        raise MovedError("The lay changed since this page was read. Here it is anew.")
    return found.plan


def _keep(actor: User, id: UUID, found: GradeShape, typed: str = "", method: str = "", rule: str = "") -> None:
    """How it was; what was typed too, but not of a call: that is a number of a client's body."""
    if Answer.of(actor.workshop).filter(pk=id, person=actor).exists():
        return
    check_room(Answer.of(actor.workshop).filter(person=actor), MOST)
    add(Answer(
        id=id, workshop=actor.workshop, changed_by=actor, person=actor, method=method, rule=rule, typed=typed,
        right=found.right, slip=found.slip,
    ))  # fmt: skip
