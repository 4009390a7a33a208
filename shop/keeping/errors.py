"""What is refused while an installation is kept in order."""

from shop.errors import ShopError


class BackupError(ShopError):
    """A backup that cannot be made, read or restored; in words."""

    status = 409
    code = "backup"
