"""Logging in and out, and who one is."""

from datetime import datetime
from uuid import UUID

from django.contrib.auth import update_session_auth_hash
from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.accounts import actions, devices, passwords, second_step, sessions
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
    """`code` is of the second step, for who has one."""

    user_name: str = Field(max_length=150)
    password: str = Field(max_length=200)
    code: str = Field("", max_length=20)


class Me(Schema):
    id: str = Field(description="the same for the same person: what a device keeps is kept for one")
    name: str
    workshop: str
    unit: str
    role: str
    rights: list[str]
    turning_to: str = Field(description="the unit the workshop is being changed to; empty where it is not")
    heading: str
    time_zone: str
    currency: str
    paper: str
    light: str
    single_keys: bool
    at_tablet: bool = Field(description="came in by a short code: what needs the password is not among the rights")
    step_asked: bool = Field(description="an owner whom the workshop asks for a second step that is not on yet")


def me_of(user: User) -> Me:
    """Who somebody is, and what they may do."""
    return Me(
        id=str(user.pk),
        name=user.first_name or user.username, workshop=user.workshop.name, unit=user.workshop.unit, role=user.role,
        rights=rights_of(user), turning_to=user.workshop.turning_to, heading=user.workshop.heading,
        time_zone=user.workshop.time_zone, currency=user.workshop.currency, paper=user.workshop.paper,
        light=user.light, single_keys=user.single_keys, at_tablet=user.at_tablet,
        step_asked=second_step.is_asked(user),
    )  # fmt: skip


@router.post("", auth=None, response=Me)
def log_in(request: HttpRequest, response: HttpResponse, body: LogIn) -> Me:
    """Start a session. From a browser that was logged in from before, nobody elsewhere can lock one out."""
    user = actions.log_in(request, body.user_name, body.password, body.code)
    if user is None:
        raise WrongPasswordError
    devices.remember(request, response, user)
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
    actions.confirm_password(request, person(request), body.old_password, "old_password")
    made = passwords.change_password(actor=person(request), new=body.password)
    update_session_auth_hash(request, made)
    return 204, None


@router.post("/everywhere", response={204: None})
def leave_everywhere(request: HttpRequest) -> tuple[int, None]:
    """End every session of one's own."""
    sessions.leave_everywhere(actor=person(request))
    actions.log_out(request)
    return 204, None


@router.delete("", response={204: None})
def log_out(request: HttpRequest) -> tuple[int, None]:
    """End the session."""
    actions.log_out(request)
    return 204, None


class SessionOut(Schema):
    """`here` is the one that asks."""

    id: UUID
    device: str
    began_at: datetime | None
    used_at: datetime
    here: bool


@router.get("/all", response=list[SessionOut])
def all_sessions(request: HttpRequest) -> list[SessionOut]:
    """One's own open sessions, the last used first; of up to 100."""
    return [
        SessionOut(
            id=row.called, device=row.device, began_at=row.began_at, used_at=row.used_at,
            here=row.session_key == request.session.session_key,
        )
        for row in sessions.sessions(person(request))
        if row.called
    ]  # fmt: skip


@router.delete("/all/{id}", response={204: None})
def end_session(request: HttpRequest, id: UUID) -> tuple[int, None]:
    """End one of them."""
    sessions.end(actor=person(request), called=id)
    return 204, None


class StepOut(Schema):
    """Whether a code is asked for at the door, and how many of those written down are left."""

    on: bool
    left: int


class SecretOut(Schema):
    """What an authenticator app takes: `picture` is a square code as an address, `typed` the same to type."""

    typed: str
    address: str
    picture: str


class CodeIn(Schema):
    code: str = Field(max_length=20)


class CodesOut(Schema):
    codes: list[str]


class TurnOffIn(Schema):
    password: str = Field(max_length=200)


@router.get("/step", response=StepOut)
def step(request: HttpRequest) -> StepOut:
    return StepOut(on=second_step.is_on(person(request)), left=second_step.left(person(request)))


@router.post("/step", response=SecretOut)
def begin_step(request: HttpRequest) -> SecretOut:
    """A new secret for one's app; nothing changes at the door before its first code is typed."""
    made = second_step.begin(person(request))
    return SecretOut(typed=made.typed, address=made.address, picture=made.picture)


@router.put("/step", response=CodesOut)
def confirm_step(request: HttpRequest, body: CodeIn) -> CodesOut:
    """Turn the second step on by the app's first code; what is answered is shown once, to be written down."""
    return CodesOut(codes=second_step.confirm(actor=person(request), code=body.code))


@router.post("/step/off", response={204: None})
def step_off(request: HttpRequest, body: TurnOffIn) -> tuple[int, None]:
    actions.confirm_password(request, person(request), body.password, "password")
    second_step.take_off(person(request))
    return 204, None
