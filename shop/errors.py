"""The root of what the shop refuses: each kind has its status and its code."""

from collections.abc import Sequence
from typing import Any, ClassVar


class ShopError(Exception):
    """A request that cannot be carried out, in words that say how to mend it.

    `status` is HTTP's, `code` the stable name of the kind; `problems` are dicts with where, code, what and mend;
    `again_in` says after how many seconds it may be tried again, where waiting helps.
    """

    status: ClassVar[int] = 422
    code: ClassVar[str]
    again_in: int | None = None

    def __init__(self, title: str, problems: Sequence[dict[str, Any]] = ()):
        super().__init__(title)
        self.title = title
        self.problems = list(problems)

    def theirs(self) -> dict[str, Any] | None:
        """The row as it stands, where the refusal is about somebody else's change of it."""
        return None
