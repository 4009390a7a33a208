"""Logging in and out, and who one is."""

from django.contrib.auth import update_session_auth_hash
from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.accounts import actions, people
from shop.accounts.models import User
from shop.accounts.rights import rights_of
from shop.api.auth import person
from shop.errors import ShopError

router = Router(tags=["session"])


class WrongPasswordError(ShopError):
    """The user name and the password do not belong together."""

    status = 401
    code = "password"

    def __init__(self) -> None:
        super().__init__("This name and password do not belong together. Check both and try again.")


class LogIn(Schema):
    user_name: str = Field(max_length=150)
    password: str = Field(max_length=200)


class Me(Schema):
    name: str
    workshop: str
    unit: str
    role: str
    rights: list[str]


def me_of(user: User) -> Me:
    """Who somebody is, and what they may do."""
    return Me(
        name=user.first_name or user.username, workshop=user.workshop.name, unit=user.workshop.unit, role=user.role,
        rights=rights_of(user),
    )  # fmt: skip


@router.post("", auth=None, response=Me)
def log_in(request: HttpRequest, body: LogIn) -> Me:
    """Start a session."""
    user = actions.log_in(request, body.user_name, body.password)
    if user is None:
        raise WrongPasswordError
    return me_of(user)


@router.get("", response=Me)
def who(request: HttpRequest) -> Me:
    """Who is logged in."""
    return me_of(person(request))


class PasswordIn(Schema):
    old_password: str = Field(max_length=200)
    password: str = Field(max_length=200)


@router.post("/password", response={204: None})
def new_password(request: HttpRequest, body: PasswordIn) -> tuple[int, None]:
    """A new password for oneself; one's other sessions end."""
    made = people.change_password(actor=person(request), old=body.old_password, new=body.password)
    update_session_auth_hash(request, made)
    return 204, None


@router.post("/everywhere", response={204: None})
def leave_everywhere(request: HttpRequest) -> tuple[int, None]:
    """End every session of one's own."""
    people.leave_everywhere(actor=person(request))
    actions.log_out(request)
    return 204, None


@router.delete("", response={204: None})
def log_out(request: HttpRequest) -> tuple[int, None]:
    """End the session."""
    actions.log_out(request)
    return 204, None
