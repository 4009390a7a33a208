"""What can be promised, and what would keep a promise that is not kept."""

from collections import Counter
from dataclasses import replace
from itertools import product

from cutting.scheduling import (
    DAY,
    Before,
    Board,
    Hours,
    Schedule,
    Task,
    Work,
    Worker,
    as_before,
    could_promise,
    cures_of,
    earliest_promise_first,
    outcomes,
    rest_of,
    tasks_of,
)
from tests.cutting.scheduling.drawn_up import MANY, person, sound, workshop


def test_a_promise_is_answered_by_what_is_free_then_by_what_can_wait_then_by_what_would_help():
    ivo = person("ivo", week=(((480, 720),),) * 7)
    long = Work((ivo,), (Task("a.sew", "a", "sew", 240), Task("b.sew", "b", "sew", 240)), {"a": 3 * DAY, "b": 9 * DAY})
    stands = earliest_promise_first(long)
    new = (Task("n.sew", "n", "sew", 120),)
    free = could_promise(long, stands, new, 3 * DAY)
    # Two mornings are taken, of the third two hours are left.
    assert (free.can, free.end, free.left_over, free.moves) == (True, 2 * DAY + 600, 120, ())
    waits = could_promise(long, stands, new, 2 * DAY)
    assert (waits.can, waits.end) == (True, 600)
    assert [(one.task, one.was_day, one.day) for one in waits.moves] == [("a.sew", 0, 1), ("b.sew", 1, 2)]
    tight = Work((ivo,), long.tasks, {"a": DAY, "b": 2 * DAY})
    no = could_promise(tight, earliest_promise_first(tight), new, DAY)
    assert (no.can, no.end, no.waits.kind, no.waits.worker) == (False, 2 * DAY + 600, "sew", "ivo")
    # Two hours more on the first day; or the third day, the first on which it is done with nothing moved.
    assert [(one.code, one.worker, one.minutes, one.day) for one in no.cures] == [
        ("hours", "ivo", 120, 0), ("day", "", 0, 2),
    ]  # fmt: skip
    helped = Work((ivo, person("tuva", {"pack"}, (((480, 720),),) * 7)), tight.tasks, tight.due)
    cures = could_promise(helped, earliest_promise_first(helped), new, DAY).cures
    assert ("hand", "tuva", ("sew",)) in [(one.code, one.worker, one.kinds) for one in cures]


def test_a_fitting_that_cannot_be_on_its_day_is_no_promise_however_early_the_rest_is_done():
    ivo = person("ivo")
    stands = earliest_promise_first(Work((ivo,), (), {}))
    for day, can in ((4, True), (5, False)):  # a Friday, a Saturday
        tasks = (Task("n.fit", "n", "fit", 30, day=day), Task("n.pack", "n", "pack", 15, ("n.fit",)))
        answer = could_promise(Work((ivo,), (), {}), stands, tasks, 20 * DAY)
        assert (answer.can, answer.schedule.missed) == (can, () if can else ("n.fit",))
        assert not [one for one in answer.cures if one.code == "day"], "another day promised would not help"


def test_an_answer_breaks_no_other_promise_and_stores_nothing():
    for seed in range(MANY // 2):
        work = workshop(seed)
        stands = earliest_promise_first(work)
        before = {id for id, one in outcomes(work, stands).items() if one.late > 0}
        tasks = tasks_of("new", rest_of([("side", 90), ("hem", 40)], 6, (), True))
        answer = could_promise(work, stands, tasks, 6 * DAY)
        more = Work(work.workers, (*work.tasks, *tasks), {**work.due, "new": 6 * DAY}, work.shared)
        if answer.can:
            sound(more, answer.schedule)
            late = {id for id, one in outcomes(more, answer.schedule).items() if one.late > 0}
            assert late <= before
        elif answer.end is not None:
            last = next(one for one in answer.cures if one.code == "day")
            assert could_promise(work, stands, tasks, (last.day + 1) * DAY).can
        assert stands == earliest_promise_first(work)


def otherwise(work, tasks, who, able, minutes=0, day=0):
    """The work where somebody can do more, or works longer on a day; its schedule of the others made by hand for it."""
    hours = who.hours
    if minutes:
        end = max(end for start, end in hours.spans if start // DAY == day)
        hours = Hours(tuple(sorted([*hours.spans, (end, end + minutes)])))
    other = Worker(who.id, frozenset(able), hours)
    by = {one.id: one for one in tasks}
    return Work(
        tuple(other if one.id == who.id else one for one in work.workers),
        tuple(by.get(one.id, one) for one in work.tasks), work.due, work.shared,
    )  # fmt: skip


def kept_by(work, stands, tasks):
    """Whether an order is kept where its tasks are placed last, all drawn up anew."""
    placed = {
        id: replace(one, first=(first := work.worker[one.worker].hours.worked(one.start)), last=first + one.last - one.first)
        for id, one in stands.placed.items()
    }  # fmt: skip
    board = Board.of(work, Schedule(placed, stands.left, stands.missed))
    for one in tasks:
        board.put(one)
    there = board.schedule()
    return outcomes(work, there)[tasks[0].order].late <= 0 and not {one.id for one in tasks} & set(there.missed)


def test_what_would_keep_a_promise_keeps_it_where_it_is_really_so_and_nothing_less_does():
    """Each way is tried again on a workshop that is drawn up anew with it."""
    said = Counter()
    for seed in range(MANY):
        work = workshop(seed, 14)
        stands = earliest_promise_first(work)
        tasks = tasks_of("new", rest_of([("side", 200), ("hem", 60)], 9, (), True))
        due = 3 * DAY
        more = Work(work.workers, (*work.tasks, *tasks), {**work.due, "new": due}, work.shared)
        if kept_by(more, stands, tasks):
            continue
        first = {}
        for minutes, day, who in product((60, 120, 180, 240), (2, 1, 0), work.workers):
            ends = [end for start, end in who.hours.spans if start // DAY == day]
            if not ends or ends[-1] + minutes > day * DAY + 22 * 60 or not who.skills & {one.kind for one in tasks}:
                continue
            if kept_by(otherwise(more, (), who, who.skills, minutes, day), stands, tasks):
                first["hours"] = (who.id, (), minutes, day)
                break
        for all_, who in product((False, True), work.workers):
            lacks = [one for one in tasks if one.kind not in who.skills]
            for some in [lacks] if all_ else [[one] for one in lacks]:
                only = [replace(one, by=who.id) if one in some else one for one in tasks]
                able = who.skills | {one.kind for one in some}
                if some and "hand" not in first and kept_by(otherwise(more, only, who, able), stands, only):
                    first["hand"] = (who.id, tuple(one.kind for one in some), 0, -1)
        found = {
            one.code: (one.worker, one.kinds, one.minutes, one.day)
            for one in cures_of(more, stands, tasks, due, None)
        }  # fmt: skip
        assert found == first, seed
        said.update(found.keys())
    assert min(said["hours"], said["hand"]) >= 3, said


def test_an_urgent_order_moves_what_a_kept_schedule_has_no_further_than_it_must():
    """Kept is what is promised later first: an order between leaves that so, where by promise all would be turned."""
    ivo = person("ivo", week=(((480, 720),),) * 7)
    tasks = Task("a.sew", "a", "sew", 240), Task("b.sew", "b", "sew", 240)
    was = {"b.sew": Before("ivo", 0, 480), "a.sew": Before("ivo", 1, DAY + 480)}
    work = Work((ivo,), tasks, {"a": 4 * DAY, "b": 9 * DAY}, was=was)
    answer = could_promise(work, as_before(work), (Task("n.sew", "n", "sew", 240),), 2 * DAY)
    assert answer.can
    assert [(one.task, one.was_day, one.day) for one in answer.moves] == [("a.sew", 1, 2)]
