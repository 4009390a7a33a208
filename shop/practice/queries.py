"""What somebody has learned: by rule, from their answers."""

from collections import Counter
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from django.db.models import Count, F, Max, Q, QuerySet, Window
from django.db.models.functions import RowNumber
from django.http import Http404

from shop.accounts.models import User
from shop.accounts.reading import page_of
from shop.accounts.rights import allow
from shop.practice.models import Answer

IN_A_ROW = 5
"""A rule is learned where the last so many answers were right. Common practice, no source."""
A_PAGE = 50


@dataclass(frozen=True)
class Learned:
    """How one rule goes: how often it was asked and answered right, how the last answers were, the last one first;
    `slip` is the code of the commonest slip among the wrong ones, empty for none.
    """

    rule: str
    asked: int
    right: int
    last: tuple[bool, ...]
    slip: str
    last_at: datetime

    @property
    def is_learned(self) -> bool:
        return len(self.last) == IN_A_ROW and all(self.last)


def learned(actor: User, person: UUID | None = None) -> list[Learned]:
    """Every rule that somebody answered, oneself where nobody is named; what is not learned yet first. Of others it is
    for an owner. Raises Http404 for nobody of this workshop. Three queries.
    """
    who = actor if person is None or person == actor.pk else _other(actor, person)
    rows = Answer.of(actor.workshop).filter(person=who)
    counts = rows.values("rule").annotate(
        asked=Count("id"), good=Count("id", filter=Q(right=True)), at=Max("created_at")
    )
    last: dict[str, list[bool]] = {}
    for rule, right in _last(rows).values_list("rule", "right"):
        last.setdefault(rule, []).append(right)
    slips: dict[str, Counter[str]] = {}
    for rule, slip, times in rows.exclude(slip="").values_list("rule", "slip").annotate(Count("id")):
        slips.setdefault(rule, Counter())[slip] = times
    found = [
        Learned(
            one["rule"], one["asked"], one["good"], tuple(last[one["rule"]]),
            slips[one["rule"]].most_common(1)[0][0] if one["rule"] in slips else "", one["at"],
        )
        for one in counts
    ]  # fmt: skip
    return sorted(found, key=lambda one: (one.is_learned, one.right / one.asked, one.rule))


def _last(rows: QuerySet[Answer]) -> QuerySet[Answer]:
    """The last answers of each rule, the last one first."""
    place = Window(
        RowNumber(), partition_by=[F("person"), F("rule")], order_by=[F("created_at").desc(), F("id").desc()]
    )
    return rows.annotate(place=place).filter(place__lte=IN_A_ROW).order_by("person", "rule", "place")


def _other(actor: User, person: UUID) -> User:
    allow(actor, "people")
    found = User.objects.filter(workshop=actor.workshop, pk=person).first()
    if found is None:
        raise Http404
    return found


@dataclass(frozen=True)
class Learner:
    """Somebody of the workshop: how many answers, how many right, how many rules are learned of how many tried."""

    id: UUID
    name: str
    asked: int
    right: int
    rules: int
    learned: int
    last_at: datetime | None


def learners(actor: User, page: int = 1) -> list[Learner]:
    """A page of everybody who works here, for an owner. Three queries."""
    allow(actor, "people")
    people = User.objects.filter(workshop=actor.workshop, is_active=True).order_by("first_name", "username")
    shown = list(page_of(people, page, A_PAGE))
    rows = Answer.of(actor.workshop).filter(person__in=shown)
    counts = {
        one["person"]: one for one in rows.values("person").annotate(
            asked=Count("id"), good=Count("id", filter=Q(right=True)), at=Max("created_at")
        )
    }  # fmt: skip
    last: dict[UUID, dict[str, list[bool]]] = {}
    for who, rule, right in _last(rows.exclude(rule="")).values_list("person", "rule", "right"):
        last.setdefault(who, {}).setdefault(rule, []).append(right)
    return [
        Learner(
            one.pk, one.first_name or one.username, counts[one.pk]["asked"] if one.pk in counts else 0,
            counts[one.pk]["good"] if one.pk in counts else 0, len(last.get(one.pk, {})),
            sum(len(all_) == IN_A_ROW and all(all_) for all_ in last.get(one.pk, {}).values()),
            counts[one.pk]["at"] if one.pk in counts else None,
        )
        for one in shown
    ]  # fmt: skip
