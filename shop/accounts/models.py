"""Workshops, the people who work in them, and the base of every row a workshop owns."""

import uuid
from typing import Any, ClassVar, Self

from django.contrib.auth.models import AbstractUser, UserManager
from django.contrib.sessions.base_session import AbstractBaseSession
from django.db import models
from django.utils import timezone
from django.utils.crypto import salted_hmac

from shop.accounts.moments import Moment


class UnscopedReadError(RuntimeError):
    """Somebody read rows without saying whose."""


class Workshop(models.Model):
    """One tailor's business. Nothing of one workshop is ever seen by another.

    `heading` is printed over its cards; `paper` is what they are printed on. `allowances` are its usual seam allowances
    as typed, by kind of garment and edge; at so many `tables` one can cut, at so many `machines` sew at once. Without a
    `time_zone` a page has the days of its device, the server those of UTC. `turning_to` is the unit that its lengths
    are being written out for. One that `reminds` writes to its clients by itself.
    """

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    name = models.CharField(max_length=120)
    unit = models.CharField(max_length=2, choices=[("in", "inches"), ("cm", "centimetres")], default="in")
    turning_to = models.CharField(max_length=2, blank=True)
    heading = models.CharField(max_length=200, blank=True)
    time_zone = models.CharField(max_length=40, blank=True)
    owners_step = models.BooleanField(default=False, help_text="whether its owners have to have a second step")
    currency = models.CharField(max_length=8, blank=True)
    paper = models.CharField(max_length=6, default="A4")
    allowances = models.JSONField(default=dict, blank=True)
    tables = models.PositiveSmallIntegerField(default=3)
    machines = models.PositiveSmallIntegerField(default=3)
    reminds = models.BooleanField(default=False)

    def __str__(self) -> str:
        return self.name


class AtWork(UserManager["User"]):
    """People with their workshop, which every request asks for: who is logged in is read by it."""

    use_in_migrations = False

    def get_queryset(self) -> "models.QuerySet[User]":
        return super().get_queryset().select_related("workshop")


class User(AbstractUser):
    """Somebody who logs in; works in one workshop under one role, see rights.py."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    workshop = models.ForeignKey(Workshop, on_delete=models.CASCADE, related_name="people")
    role = models.CharField(max_length=12, default="owner")
    era = models.PositiveIntegerField(
        default=0, help_text="grows when somebody is let go or leaves everywhere: older sessions end"
    )
    light = models.CharField(max_length=6, default="system", help_text="day, dim, or as the system has it")
    single_keys = models.BooleanField(default=True, help_text="whether a key by itself does something")
    short_code = models.CharField(max_length=128, blank=True, help_text="hashed: by it one comes in at a tablet")
    code_wrong = models.PositiveSmallIntegerField(default=0)
    code_wrong_at = models.DateTimeField(null=True)
    REQUIRED_FIELDS: ClassVar[list[str]] = []
    at_tablet = False
    """Whether this session was opened by a short code: set by the door, never kept."""
    at_work: ClassVar[AtWork] = AtWork()

    class Meta(AbstractUser.Meta):
        default_manager_name = "at_work"

    def _get_session_auth_hash(self, secret: str | None = None) -> str:
        return salted_hmac("shop.session", f"{self.era} {self.password}", secret=secret, algorithm="sha256").hexdigest()


class Session(AbstractBaseSession):
    """An open session: whose, and what its owner's list shows of it; see sessions.py. `called` is its name outside."""

    person = models.ForeignKey(User, null=True, on_delete=models.CASCADE, related_name="+")
    called = models.UUIDField(null=True, db_index=True)
    device = models.CharField(max_length=60, blank=True)
    began_at = models.DateTimeField(null=True)
    used_at = models.DateTimeField()

    @classmethod
    def get_session_store_class(cls) -> Any:
        from shop.accounts.sessions import SessionStore

        return SessionStore


class KnownDevice(models.Model):
    """A browser that somebody logged in from before, and how many wrong passwords came from it since."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    person = models.ForeignKey(User, on_delete=models.CASCADE, related_name="+")
    wrong = models.PositiveSmallIntegerField(default=0)
    used_at = models.DateTimeField(default=timezone.now)


class OwnedRows(models.Manager[Any]):
    """Rows that can only be read through `of(workshop)`."""

    def get_queryset(self) -> models.QuerySet[Any]:
        raise UnscopedReadError(f"{self.model.__name__}: read through objects.of(workshop)")

    def of(self, workshop: Workshop) -> models.QuerySet[Any]:
        return models.QuerySet(self.model, using=self._db).filter(workshop=workshop)


class WorkshopRow(models.Model):
    """A row one workshop owns: an id made by the client, a version that grows by one at each write."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4)
    workshop = models.ForeignKey(Workshop, on_delete=models.CASCADE, related_name="+")
    version = models.PositiveIntegerField(default=1)
    created_at = Moment(auto_now_add=True)
    changed_at = models.DateTimeField(auto_now=True)
    changed_by = models.ForeignKey(User, null=True, on_delete=models.SET_NULL, related_name="+")

    objects: ClassVar[OwnedRows] = OwnedRows()
    MOST: ClassVar[int] = 100_000
    """A workshop keeps no more rows of the kind."""

    class Meta:
        abstract = True

    @classmethod
    def of(cls, workshop: Workshop) -> models.QuerySet[Self]:
        """This workshop's rows, the only way to read them."""
        return cls.objects.of(workshop)


class Invitation(WorkshopRow):
    """A link that is followed once: it lets somebody join under a role, or `person` choose a new password."""

    person = models.ForeignKey(User, null=True, on_delete=models.CASCADE, related_name="+")
    name = models.CharField(max_length=60)
    role = models.CharField(max_length=12)
    token = models.CharField(max_length=64, unique=True)
    expires_at = models.DateTimeField()
    used_at = models.DateTimeField(null=True)


class Tablet(WorkshopRow):
    """A browser at a table, on which people pick themselves by a short code; see tablets.py."""

    MOST = 40
    name = models.CharField(max_length=40)


class Message(WorkshopRow):
    """A message to somebody outside. The stand-in for delivery keeps it to be read here; nothing is sent."""

    to = models.CharField(max_length=120, blank=True)
    text = models.TextField(max_length=2000)
