"""Loads the invented workshop through the same actions the pages use."""

from django.db import transaction

from demo import people
from shop.accounts.models import User, Workshop


@transaction.atomic
def load() -> Workshop:
    """The demo workshop; made at the first call, found at the next."""
    owner = User.objects.filter(username=people.OWNER_NAME).select_related("workshop").first()
    if owner:
        return owner.workshop
    workshop = Workshop.objects.create(name=people.WORKSHOP_NAME, unit="in")
    owner = User(username=people.OWNER_NAME, first_name="Ebba", workshop=workshop)
    owner.set_password(people.OWNER_PASSWORD)
    owner.save()
    return workshop
