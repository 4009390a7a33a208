"""What cannot be done, said as a code with its place and numbers; `words` turns it into a sentence."""

from dataclasses import dataclass, field
from typing import Any

from cutting.codes import ProblemCode
from cutting.where import JOB, Where


@dataclass(frozen=True)
class Problem:
    """One thing that is wrong, and where in the job it is mended."""

    code: ProblemCode
    where: Where = JOB
    params: dict[str, Any] = field(default_factory=dict)


class CuttingError(Exception):
    """Something cannot be drafted. Carries every problem found, not only the first."""

    def __init__(self, *problems: Problem):
        super().__init__("; ".join(f"{p.where}: {p.code}" for p in problems))
        self.problems = problems


def refuse(code: ProblemCode, where: Where = JOB, **params: Any) -> CuttingError:
    """A CuttingError with a single problem."""
    return CuttingError(Problem(code, where, params))
