"""What is refused while a workshop is taken along or brought in."""

from shop.errors import ShopError


class ArchiveError(ShopError):
    """A workshop that cannot be taken along now, or what is no archive of one; in words."""

    status = 409
    code = "archive"
