"""How fast the client book answers with ten thousand clients, and doubts over a full sheet. Nothing is asserted."""

import random
import statistics
import time
from fractions import Fraction
from uuid import uuid4

PARTS = (
    "ma",
    "rit",
    "jo",
    "ren",
    "tu",
    "va",
    "sig",
    "ne",
    "ols",
    "en",
    "ha",
    "kon",
    "li",
    "ve",
    "run",
    "ar",
    "ei",
    "da",
)
CLIENTS = 10_000
FULL = {
    "height": 1720, "chest": 960, "waist": 800, "hip": 1010, "thigh": 590, "knee": 380, "calf": 370, "ankle": 230,
    "upper_arm": 300, "wrist": 165, "outseam": 1040, "inseam": 780, "body_rise": 262,
    "waist_to_hip": 210, "waist_to_knee": 600,
}  # fmt: skip


def doubts_ms() -> float:
    """Doubts over a full sheet, warm."""
    from cutting.body import doubts

    sizes = {key: Fraction(size) for key, size in FULL.items()}
    last = {key: size - 5 for key, size in sizes.items()}
    doubts(sizes, last)
    runs = []
    for _ in range(50):
        start = time.perf_counter()
        doubts(sizes, last)
        runs.append((time.perf_counter() - start) * 1000)
    return statistics.median(runs)


def search_ms() -> tuple[float, float]:
    """The median and the slowest of forty searches over the API, in a workshop that is rolled back afterwards."""
    import django

    django.setup()
    from django.db import transaction
    from django.test import Client as Browser

    from shop.accounts.models import User, Workshop
    from shop.clients.models import Client
    from shop.clients.sound import sounding

    chance = random.Random(5)  # noqa: S311  # invented names, no secret

    def name() -> str:
        return " ".join("".join(chance.choices(PARTS, k=2)).capitalize() for _ in range(2))

    class Over(Exception):
        pass

    runs: list[float] = []
    try:
        with transaction.atomic():
            workshop = Workshop.objects.create(name="Many")
            owner = User.objects.create(username=f"many-{uuid4().hex[:8]}", workshop=workshop)
            names = [name() for _ in range(CLIENTS)]
            phones = [str(chance.randrange(10**8, 10**9)) for _ in names]
            Client._base_manager.bulk_create(
                Client(workshop=workshop, name=one, sound=sounding(one), phone=phone, phone_digits=phone)
                for one, phone in zip(names, phones, strict=True)
            )
            browser = Browser(SERVER_NAME="127.0.0.1")
            browser.force_login(owner, backend="django.contrib.auth.backends.ModelBackend")
            asked = [chance.choice(names)[: chance.randint(2, 7)] for _ in range(30)]
            asked += [chance.choice(phones)[2:7] for _ in range(10)]
            browser.get("/api/clients", {"find": "warm"})
            for find in asked:
                start = time.perf_counter()
                answer = browser.get("/api/clients", {"find": find})
                assert answer.status_code == 200
                assert len(answer.json()) > 0
                runs.append((time.perf_counter() - start) * 1000)
            raise Over
    except Over:
        pass
    return statistics.median(runs), max(runs)
