"""Who may see and change what."""

from shop.accounts.models import User
from shop.errors import ShopError

ROLES = ("owner", "cutter", "apprentice", "sewer")
RIGHTS: dict[str, tuple[str, ...]] = {
    "contacts": ("owner", "cutter"),
    "clients": ("owner", "cutter"),
    "measure": ("owner", "cutter", "apprentice"),
    "orders": ("owner", "cutter"),
    "lays": ("owner", "cutter", "apprentice"),
    "steps": ("owner", "cutter", "apprentice", "sewer"),
    "chalk": ("owner", "cutter", "apprentice"),
    "cut": ("owner", "cutter"),
    "sew": ("owner", "cutter", "apprentice", "sewer"),
    "fit": ("owner", "cutter"),
    "money": ("owner", "cutter"),
    "practise": ("owner", "cutter", "apprentice", "sewer"),
    "remove": ("owner",),
    "people": ("owner",),
    "workshop": ("owner",),
}
"""What each right is held by. Everybody of a workshop reads its orders, sheets, plans and marks."""


NOT_AT_A_TABLET = ("remove", "people", "workshop")
"""What needs the password: nobody holds it who came in by a short code."""


class NotAllowedError(ShopError):
    """The actor's role does not hold this right; it says who does."""

    status = 403
    code = "right"

    def __init__(self, right: str, at_tablet: bool = False):
        if at_tablet:
            super().__init__("This needs your password. Leave, then come in with your user name and password.")
            return
        holders = " or ".join(f"{'an' if role[0] in 'ao' else 'a'} {role}" for role in RIGHTS[right])
        super().__init__(f"This is for {holders}. Ask them, or to be given that role.")


def rights_of(user: User) -> list[str]:
    """The rights a person holds."""
    return [right for right in RIGHTS if _holds(user, right)]


def allow(actor: User, right: str) -> None:
    """Raise NotAllowedError where the actor does not hold the right."""
    if not _holds(actor, right):
        raise NotAllowedError(right, at_tablet=actor.at_tablet and actor.role in RIGHTS[right])


def _holds(user: User, right: str) -> bool:
    return user.role in RIGHTS[right] and not (user.at_tablet and right in NOT_AT_A_TABLET)
