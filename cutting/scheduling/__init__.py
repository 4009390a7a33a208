"""When the work of a workshop is done, by whom, and what can be promised."""

from cutting.scheduling.bundles import Rest, Takes, rest_of, takes_of, tasks_of
from cutting.scheduling.cures import Cure, cures_of
from cutting.scheduling.hours import DAY, Hours, Week, hours_of
from cutting.scheduling.judging import Outcome, Score, broken, done_on, outcomes, score
from cutting.scheduling.moving import by_hand
from cutting.scheduling.placing import Board, Schedule, as_before, earliest_promise_first
from cutting.scheduling.promising import Answer, Moves, Waits, could_promise, moves_of, waits_of
from cutting.scheduling.task import KINDS, Before, Placed, ScheduleError, Task, Work, Worker

__all__ = [
    "DAY", "KINDS", "Answer", "Before", "Board", "Cure", "Hours", "Moves", "Outcome", "Placed", "Rest", "Schedule",
    "ScheduleError", "Score", "Takes", "Task", "Waits", "Week", "Work", "Worker", "as_before", "broken", "by_hand",
    "could_promise", "cures_of", "done_on", "earliest_promise_first", "hours_of", "moves_of", "outcomes", "rest_of",
    "score", "takes_of", "tasks_of", "waits_of",
]  # fmt: skip
