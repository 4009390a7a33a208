"""A workshop taken along and brought in elsewhere: every row as it was, no secret, nothing of another, all or nothing."""

import io
import json
import time
from zipfile import ZipFile

import pytest
from django.core.management import call_command
from django.db import connection
from psycopg.sql import SQL, Identifier, Literal

from shop.accounts.models import User, Workshop
from shop.archive import taking_along
from shop.archive.errors import ArchiveError
from shop.archive.whole import bring_in, kinds, take_out
from tests.shop.bodies import DOT


@pytest.fixture
def lived(owner, order, new_id):
    """A workshop in which something was done of most kinds."""
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    tick = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": 1, "chalked": True}
    found = {"order": order["id"], "sign": "seat_tight", "cure": "tip_more", "pinned": "1/2", "fitted_on": "2026-11-01"}
    for path, body in (
        ("ticks", tick), ("fitting-corrections", {**found, "garment": "trousers"}), ("quotes", {"order": order["id"]}),
        ("photos", {"order": order["id"], "taken_on": "2026-11-01", "picture": DOT}),
        ("payments", {"order": order["id"], "amount": "40", "paid": "0.00"}),
        ("invitations", {"name": "Ivo", "role": "sewer"}), ("plots", {"plan": made["id"]}),
    ):  # fmt: skip
        assert owner("PUT", f"/{path}/{new_id()}", body)[0] == 200, path
    return User.objects.get(username="ebba").workshop


def written(workshop):
    out = io.BytesIO()
    take_out(workshop, out)
    return out


def rows(workshop):
    """Every row as the database itself writes it, but for whose it is and the secrets that stay behind."""
    found = {}
    asked = SQL(
        "select to_jsonb(t) - 'workshop_id' - 'link' - 'link_ends' from {} t where workshop_id = {} order by id"
    )
    with connection.cursor() as cursor:
        for kind in kinds():
            cursor.execute(asked.format(Identifier(kind._meta.db_table), Literal(workshop.id)))
            found[kind._meta.label] = [row for (row,) in cursor.fetchall()]
    return found


def changed(archive, name, change):
    """The archive with one of its files otherwise."""
    out = io.BytesIO()
    with ZipFile(archive) as old, ZipFile(out, "w") as new:
        for one in old.namelist():
            new.writestr(one, change(old.read(one)) if one == name else old.read(one))
    return out


def nothing_is_left_of(workshop):
    gone = SQL("delete from {} where workshop_id = {}")
    with connection.cursor() as cursor:
        for kind in kinds():
            cursor.execute(gone.format(Identifier(kind._meta.db_table), Literal(workshop.id)))
    workshop.delete()


def test_brought_in_elsewhere_every_row_is_as_it_was(owner, lived, order, stranger):
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]
    archive, before = written(lived), rows(lived)
    assert sum(map(bool, before.values())) >= 14
    password = User.objects.get(username="ebba").password
    with ZipFile(archive) as read:
        whole = b"".join(map(read.read, read.namelist()))
    assert password.encode() not in whole
    assert b"token" not in whole
    assert str(User.objects.get(username="other").id).encode() not in whole, "nothing of another workshop"
    nothing_is_left_of(lived)
    assert not User.objects.filter(username="ebba").exists()
    workshop, [ebba] = bring_in(archive)
    assert rows(workshop) == before
    assert (workshop.name, ebba.username, ebba.has_usable_password()) == (lived.name, "ebba", False)
    owner.http.force_login(ebba, backend="django.contrib.auth.backends.ModelBackend")
    again = owner("POST", f"/orders/{order['id']}/plan")[1]
    assert again["plan"] == plan["plan"]


def test_what_is_no_such_archive_is_refused_and_nothing_is_kept(lived, stranger):
    archive = written(lived)
    with pytest.raises(ArchiveError, match="is here already"):
        bring_in(archive)
    nothing_is_left_of(lived)
    theirs = str(User.objects.get(username="other").id)
    orders, about = "rows/orders.Order.jsonl", "about.json"
    cases = [
        (io.BytesIO(b""), "no archive"), (io.BytesIO(archive.getvalue()[:-99]), "no archive"),
        (changed(archive, about, lambda text: text.replace(b"plavet-workshop", b"plavet-backup")), "no archive"),
        (changed(archive, about, lambda text: text.replace(b"0001_initial", b"9999_later")), "another release"),
        (changed(archive, about, lambda _: b"[]"), "no archive"), (changed(archive, orders, lambda _: b"{"), "no archive"),
        (changed(archive, orders, lambda text: b""), "not in this archive"),
        (changed(archive, orders, lambda text: text + text), "already"),
        (changed(archive, orders, lambda text: _with(text, title="x" * 500)), "cannot be"),
        (changed(archive, orders, lambda text: _with(text, client=theirs)), "not in this archive"),
        (changed(archive, orders, lambda text: _with(text, changed_by=theirs)), "not in this archive"),
        (changed(archive, orders, lambda text: _with(text, promised_on="soon")), "cannot be"),
        (changed(archive, orders, lambda text: _with(text, client=None)), "not whole"),
    ]  # fmt: skip
    for bad, says in cases:
        with pytest.raises(ArchiveError, match=says):
            bring_in(bad)
        assert not Workshop.objects.filter(name=lived.name).exists(), says
        assert not User.objects.filter(username="ebba").exists()


def _with(lines, **more):
    return b"\n".join(json.dumps(json.loads(line) | more).encode() for line in lines.splitlines()) + b"\n"


def test_a_user_name_that_somebody_has_is_another(lived, stranger):
    archive = written(lived)
    nothing_is_left_of(lived)
    User.objects.filter(username="other").update(username="ebba")
    _, [owner] = bring_in(archive)
    assert owner.username == "ebba-2"


def test_an_owner_asks_for_it_takes_it_and_it_goes_after_a_day(owner, team, lived, tmp_path, monkeypatch):
    monkeypatch.setenv("PLAVET_ARCHIVES", str(tmp_path / "kept"))
    assert owner.get("/archive")["state"] == "none"
    assert owner("GET", "/archive/file")[0] == 404
    assert owner("POST", "/archive")[1]["state"] == "being_made"
    assert owner("POST", "/archive")[1]["state"] == "being_made", "asked for twice it is made once"
    for role in ("cutter", "sewer"):
        assert {
            team[role](*one)[0] for one in (("GET", "/archive"), ("POST", "/archive"), ("GET", "/archive/file"))
        } == {403}
    with connection.cursor() as cursor:
        cursor.execute("update procrastinate_jobs set status = 'succeeded' where task_name = 'archive' returning args")
        assert [
            args["workshop"] if isinstance(args, dict) else json.loads(args)["workshop"]
            for (args,) in cursor.fetchall()
        ] == [str(lived.id)]
    taking_along.make(lived)
    there = owner.get("/archive")
    assert (there["state"], there["size_mb"] >= 0) == ("ready", True)
    answer = owner.http.get("/api/archive/file")
    assert "no-store" in answer.headers["Cache-Control"]
    with ZipFile(io.BytesIO(b"".join(answer.streaming_content))) as read:
        assert json.loads(read.read("workshop.json"))["name"] == lived.name
    noted = owner.get("/seen")[0]
    assert (noted["what"], noted["client"], noted["times"]) == ("archive", None, 1)
    assert (tmp_path / "kept").stat().st_mode & 0o077 == 0
    taking_along.forget(time.time() + 25 * 3600)
    assert owner.get("/archive")["state"] == "none"


def test_in_the_shell_it_is_written_once_and_owners_get_links(lived, tmp_path, capsys):
    file = str(tmp_path / "all.zip")
    call_command("take_out", "ebba", file)
    with pytest.raises(Exception, match="there already"):
        call_command("take_out", "ebba", file)
    nothing_is_left_of(lived)
    call_command("bring_in", file, "--address", "https://plavet.example/")
    said = capsys.readouterr().out
    assert lived.name in said
    assert "ebba: https://plavet.example/join/" in said
    with pytest.raises(Exception, match="cannot be read"):
        call_command("bring_in", str(tmp_path / "no.zip"))
