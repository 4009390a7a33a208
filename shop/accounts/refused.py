"""What is refused about a person."""

from shop.errors import ShopError


class PersonRefusedError(ShopError):
    """Something about a person cannot be: `where` names the field, `what` and `mend` say it."""

    code = "person"

    def __init__(self, where: str, what: str, mend: str):
        super().__init__(f"{what}. {mend}", [{"where": where, "code": self.code, "what": what, "mend": mend}])
