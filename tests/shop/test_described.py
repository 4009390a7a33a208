"""The API answers as it is described: schemathesis sends what the description allows, and what it does not, everywhere.

Logged in, with the ids of real rows in every other request. `--deep` sends far more.
"""

import os
import re
from collections import Counter

import pytest
import schemathesis
from django.core.signals import request_finished, request_started
from django.core.wsgi import get_wsgi_application
from django.db import close_old_connections
from hypothesis import HealthCheck, Phase, given, settings
from schemathesis.checks import not_a_server_error
from schemathesis.config import SchemathesisConfig
from schemathesis.specs.openapi.checks import (
    content_type_conformance,
    response_schema_conformance,
    status_code_conformance,
)

from shop.accounts.models import User
from shop.api.api import api
from tests.shop.bodies import bodies_for
from tests.shop.conftest import Caller

SENT = 60 if os.environ.get("PLAVET_DEEP") else 3
"""Requests for each operation."""
CHECKS = [not_a_server_error, status_code_conformance, content_type_conformance, response_schema_conformance]
SCHEMA = schemathesis.openapi.from_dict(api.get_openapi_schema(path_prefix="/api/"), config=SchemathesisConfig())
OPERATIONS = {f"{op.method.upper()} {op.path}": op for op in (found.ok() for found in SCHEMA.get_all_operations())}
PLAIN = {"X-CSRFToken": "c" * 32, "Accept-Encoding": "identity"}
THERE = ("orders", "clients", "sheets", "plans")
"""Of these the ids are of rows that are there before the first request is sent."""
ENDS = ("DELETE /api/clients/{id}", "PUT /api/people/{id}")
"""What would take the rows of the others away gets ids of nobody."""


@pytest.fixture
def ids(owner, order):
    """An id of a real row by the first word of a path."""
    found = {"orders": order["id"], "clients": order["client"]["id"], "garments": order["garments"][0]["id"]}
    for _, path in bodies_for(owner, order):
        kind, _, rest = path[1:].partition("/")
        found.setdefault(kind, rest.partition("/")[0])
    return found


BY_LINK = {"GET /api/look", "GET /api/archive/file"}
"""Asked with the secret of a link: test_files. Or not there before it is made: test_archive."""


@pytest.fixture
def application():
    """The whole application in this thread, on the connection whose changes are rolled back."""
    for signal in (request_started, request_finished):
        signal.disconnect(close_old_connections)
    yield get_wsgi_application()
    for signal in (request_started, request_finished):
        signal.connect(close_old_connections)


def test_every_operation_answers_as_it_is_described(owner, order, ids, application):
    """One after the other on the same rows, what takes rows away at the end; the first that does not is named."""
    ebba = User.objects.get(username="ebba")
    for name, operation in sorted(OPERATIONS.items(), key=lambda one: one[0].startswith("DELETE")):
        statuses = sent_to(name, operation, ebba, ids, application)
        # What is read by nothing but ids of ours is answered at least once: nobody stands before a closed door here.
        asked = re.findall("{.*?}", name)
        if name.startswith("GET") and (not asked or (asked == ["{id}"] and name.split("/")[2] in THERE)):
            assert 200 in statuses or name in BY_LINK, (name, statuses)


def sent_to(name, operation, ebba, ids, application):
    """The statuses of what was answered; each answer is compared with what is described."""
    sent, statuses = 0, set[int]()

    @settings(
        max_examples=SENT, deadline=None, database=None, derandomize=True, phases=[Phase.generate],
        suppress_health_check=list(HealthCheck),
    )  # fmt: skip
    @given(operation.as_strategy())
    def send(case):
        nonlocal sent
        sent += 1
        kind = case.path.split("/")[2]
        if sent % 2 and "id" in case.path_parameters and name not in ENDS and kind in ids:
            case.path_parameters = case.path_parameters | {"id": ids[kind]}
        ebba.refresh_from_db()
        held = {"csrftoken": "c" * 32} | {key: one.value for key, one in Caller(ebba).http.cookies.items()}
        answer = case.call(cookies=held, headers=PLAIN, app=application)
        case.validate_response(answer, checks=CHECKS)
        statuses.add(answer.status_code)

    send()
    return statuses


def test_no_two_shapes_have_one_name():
    """In the description the second of one name would take the place of the first, in silence."""
    from pydantic import BaseModel

    def below(cls):
        for one in cls.__subclasses__():
            yield one
            yield from below(one)

    # Other shapes of the core are of its files alone.
    of_plans = ("cutting.formats.plan_shape", "cutting.formats.sewing_shape")
    found = {(one.__module__, one.__name__) for one in below(BaseModel) if "[" not in one.__name__}
    ours = [name for module, name in found if module.startswith("shop.") or module in of_plans]
    assert len(ours) > 150
    assert [name for name, count in Counter(ours).items() if count > 1] == []
