"""
A backup that only who knows its passphrase can read: a file of the age format (age-encryption.org/v1), which the tools
of that name open too. It is sealed and opened in memory: a backup is a few MB for each workshop.
"""

import os

import pyrage

from shop.keeping.errors import BackupError

NAME = "PLAVET_BACKUP_PASSPHRASE"
FIRST = b"age-encryption.org/"
SHORTEST = 12
"""A passphrase has at least so many letters: who has the file can try as often as he likes."""


def passphrase() -> str:
    """What backups are sealed by here; empty where they are not."""
    return os.environ.get(NAME, "")


def is_sealed(data: bytes) -> bool:
    return data.startswith(FIRST)


def seal(data: bytes, by: str) -> bytes:
    """The file sealed, once it was opened again and is the same. Raises BackupError."""
    if len(by) < SHORTEST:
        raise BackupError(f"{NAME} is too short to keep anybody out: give at least {SHORTEST} letters.")
    sealed: bytes = pyrage.passphrase.encrypt(data, by)
    if unseal(sealed, by) != data:
        raise BackupError("What was sealed did not come back as it was. Nothing was kept.")
    return sealed


def unseal(data: bytes, by: str) -> bytes:
    """What is in a sealed file. Raises BackupError."""
    if not by:
        raise BackupError(f"This backup is sealed. Say its passphrase: {NAME} in var/plavet.env.")
    try:
        return bytes(pyrage.passphrase.decrypt(data, by))
    except pyrage.DecryptError:
        raise BackupError("This is not the passphrase that the backup was sealed by, or it is damaged.") from None
