"""The people of a workshop, and the way in by invitation."""

from datetime import datetime
from typing import Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.accounts import actions, devices, links, people
from shop.accounts.models import Invitation, User
from shop.api.auth import person
from shop.api.routers.session import Me, me_of
from shop.bridge.words import as_unit

router = Router(tags=["people"])
Role = Literal["owner", "cutter", "apprentice", "sewer"]


class PersonIn(Schema):
    role: Role
    works_here: bool = True


class PersonOut(Schema):
    id: UUID
    name: str
    user_name: str
    role: str
    works_here: bool


class InvitationIn(Schema):
    name: str = Field(min_length=1, max_length=60)
    role: Role
    to: str = Field("", max_length=120)


class LinkIn(Schema):
    person: UUID


class InvitationOut(Schema):
    """An open link; `for_password` where it gives somebody who works here a new password."""

    id: UUID
    name: str
    for_password: bool
    role: str
    link: str
    expires_at: datetime


class MessageOut(Schema):
    """A message that stand-in delivery holds instead of sending it."""

    to: str
    text: str
    written_at: datetime


class TeamOut(Schema):
    people: list[PersonOut]
    invitations: list[InvitationOut]
    messages: list[MessageOut]


class WelcomeOut(Schema):
    """What a link leads to: joining, or where `user_name` is said a new password for it. Where one is the `first`, one
    says what the workshop is called.
    """

    workshop: str
    name: str
    role: str
    user_name: str
    first: bool
    unit: Literal["in", "cm"]


class FirstHouseIn(Schema):
    """The workshop as its first owner says."""

    workshop: str = Field(min_length=1, max_length=120)
    unit: Literal["in", "cm"]
    name: str = Field(min_length=1, max_length=60)
    time_zone: str = Field("", max_length=40, description="whose days are its days; empty as each device has it")


class JoinIn(Schema):
    user_name: str = Field("", max_length=60)
    password: str = Field(max_length=200)
    house: FirstHouseIn | None = None


def _person(row: User) -> PersonOut:
    return PersonOut(
        id=row.id, name=row.first_name or row.username, user_name=row.username, role=row.role, works_here=row.is_active
    )


def _invitation(request: HttpRequest, row: Invitation) -> InvitationOut:
    link = request.build_absolute_uri(f"/join/{row.token}")
    return InvitationOut(
        id=row.id, name=row.name, role=row.role, link=link, expires_at=row.expires_at,
        for_password=row.person_id is not None,
    )  # fmt: skip


@router.get("/people", response=TeamOut)
def team(request: HttpRequest) -> TeamOut:
    """Everybody of the workshop, open invitations, and the messages that would have been sent."""
    who = person(request)
    return TeamOut(
        people=[_person(row) for row in people.people(who)],
        invitations=[_invitation(request, row) for row in links.invitations(who)],
        messages=[MessageOut(to=row.to, text=row.text, written_at=row.created_at) for row in links.messages(who)],
    )


@router.put("/people/{id}", response=PersonOut)
def put_person(request: HttpRequest, id: UUID, body: PersonIn) -> PersonOut:
    """Give another role, or let go."""
    return _person(people.put_person(actor=person(request), id=id, role=body.role, works_here=body.works_here))


@router.put("/invitations/{id}", response=InvitationOut)
def invite(request: HttpRequest, id: UUID, body: InvitationIn) -> InvitationOut:
    """Invite somebody by a link."""
    made = links.invite(actor=person(request), id=id, address=request.build_absolute_uri("/"), **body.dict())
    return _invitation(request, made)


@router.put("/password-links/{id}", response=InvitationOut)
def link_for_password(request: HttpRequest, id: UUID, body: LinkIn) -> InvitationOut:
    """A link by which somebody who forgot their password chooses another; good for a day."""
    return _invitation(request, links.link_for_password(actor=person(request), id=id, person=body.person))


@router.delete("/invitations/{id}", response={204: None})
def withdraw(request: HttpRequest, id: UUID) -> tuple[int, None]:
    """Take an invitation back."""
    links.withdraw(actor=person(request), id=id)
    return 204, None


@router.get("/session/join/{token}", auth=None, response=WelcomeOut)
def welcome(request: HttpRequest, token: str) -> WelcomeOut:
    """What a link leads to."""
    found = links.invited(token)
    return WelcomeOut(
        workshop=found.workshop.name, name=found.name, role=found.role,
        user_name=found.person.username if found.person else "", first=links.is_first(found),
        unit=as_unit(found.workshop.unit),
    )  # fmt: skip


@router.post("/session/join/{token}", auth=None, response=Me)
def join(request: HttpRequest, response: HttpResponse, token: str, body: JoinIn) -> Me:
    """Follow a link: choose a user name and a password, or a new password, and be in."""
    house = links.House(**body.house.dict()) if body.house else None
    made = links.join(token=token, user_name=body.user_name, password=body.password, house=house)
    actions.open_session(request, made)
    devices.remember(request, response, made)
    return me_of(made)
