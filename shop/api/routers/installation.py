"""The installation as its owner sees it: whether all is well, how old the last backup is, of which release it is."""

from datetime import datetime

from django.http import HttpRequest
from ninja import Router, Schema

from shop.accounts.rights import allow
from shop.api.auth import person
from shop.bridge.drafting import CORE_VERSION
from shop.keeping.backups import backups
from shop.keeping.doctor import folder, look

router = Router(tags=["installation"])
SHOWN = 8
"""So many backups are shown, the newest ones."""


class FoundOut(Schema):
    """Something that was looked at: what was found, and how it is mended where it is not right."""

    what: str
    right: bool
    says: str
    mend: str


class BackupOut(Schema):
    at: datetime
    size_mb: float


class InstallationOut(Schema):
    release: str
    found: list[FoundOut]
    backups: list[BackupOut]


@router.get("/installation", response=InstallationOut)
def installation(request: HttpRequest) -> InstallationOut:
    """What the doctor finds, and the last backups. Nothing of any workshop is in it."""
    allow(person(request), "workshop")
    where = folder()
    kept = backups(where)[:SHOWN] if where else []
    return InstallationOut(
        release=CORE_VERSION,
        found=[FoundOut(what=one.what, right=one.right, says=one.says, mend=one.mend) for one in look(where)],
        backups=[BackupOut(at=one.at, size_mb=round(one.size / 1024**2, 1)) for one in kept],
    )
