"""Two workshops, and a browserless client for each owner."""

import json
from uuid import uuid4

import pytest
from django.db import connection
from django.test import Client
from django.test.utils import CaptureQueriesContext

from demo.load import load
from shop.accounts.models import User, Workshop
from shop.accounts.rights import ROLES
from shop.orders.queries import bench


class Caller:
    """Calls the API as somebody; answers (status, body)."""

    def __init__(self, user):
        self.http = Client()
        if user:
            self.http.force_login(user, backend="django.contrib.auth.backends.ModelBackend")

    def __call__(self, method, path, body=None):
        data = None if body is None else json.dumps(body)
        answer = self.http.generic(method, f"/api{path}", data or "", content_type="application/json")
        if answer.content and "json" not in answer["Content-Type"]:
            return answer.status_code, answer.content.decode("latin-1")
        return answer.status_code, json.loads(answer.content) if answer.content else None

    def get(self, path, **query):
        """The body of an answer that must be 200."""
        answer = self.http.get(f"/api{path}", query)
        assert answer.status_code == 200, answer.content
        return answer.json()

    def counted(self, path, method="GET"):
        """How often an answer that must be 200 asks the database, and its body; what is made at first is made before."""
        self(method, path)
        with CaptureQueriesContext(connection) as asked:
            status, body = self(method, path)
        assert status == 200, body
        return len(asked), body

    def raw(self, method, path):
        """An answer's text."""
        return self.http.generic(method, f"/api{path}").content.decode()


@pytest.fixture(scope="session")
def django_db_setup(django_db_setup, django_db_blocker):
    """The demo is loaded once, before the first test; each test's own changes are rolled back."""
    with django_db_blocker.unblock():
        load()


@pytest.fixture
def owner(db):
    load()  # again only after a test that empties the database
    return Caller(User.objects.get(username="ebba"))


@pytest.fixture
def stranger(db):
    elsewhere = Workshop.objects.create(name="Elsewhere", unit="cm")
    user = User.objects.create(username="other", workshop=elsewhere)
    return Caller(user)


@pytest.fixture
def team(owner):
    """One of each role in the demo workshop."""
    ebba = User.objects.get(username="ebba")
    made = {role: User.objects.create(username=f"a-{role}", workshop=ebba.workshop, role=role) for role in ROLES[1:]}
    return {"owner": owner} | {role: Caller(user) for role, user in made.items()}


@pytest.fixture
def order(owner):
    """The whole first order of the demo."""
    first = bench(User.objects.get(username="ebba")).first()
    return owner("GET", f"/orders/{first.id}")[1]


@pytest.fixture
def new_id():
    return lambda: str(uuid4())
