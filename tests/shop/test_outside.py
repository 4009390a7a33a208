"""A pattern from outside over the API: looked into, made into files, nothing kept; only for who works here."""

import pytest

from shop.accounts.models import User

SQUARE = '<svg xmlns="http://www.w3.org/2000/svg" width="500mm" viewBox="0 0 500 500"><path id="yoke" d="M10,10h300v200h-300z"/></svg>'
CROSSED = SQUARE.replace("M10,10h300v200h-300z", "M0,0 L300,300 300,0 0,300z")


def test_a_pattern_is_looked_into_and_fetched(owner, stranger):
    found = owner("POST", "/patterns", {"text": SQUARE})[1]
    assert (found["unit"], found["refused"]) == ("mm", [])
    assert {"pattern-a4.pdf", "pieces.hpgl", "plan.svg"} <= {one["name"] for one in found["files"]}
    [piece] = found["pieces"]
    assert (piece["name"], piece["across_mm"], piece["down_mm"]) == ("yoke", pytest.approx(300), pytest.approx(200))
    for name, begins in (
        ("pattern-a4.pdf", b"%PDF"),
        ("pieces.hpgl", b"IN;"),
        ("pieces.dxf", b"  0"),
        ("plan.svg", b"<svg"),
    ):
        body = {"text": SQUARE, "name": name, "title": '../../x"<b>'}
        answer = owner.http.post("/api/patterns/file", body, content_type="application/json")
        assert answer.status_code == 200
        assert answer.content.startswith(begins)
    assert stranger("POST", "/patterns", {"text": SQUARE})[0] == 200, "it is nobody's"


def test_what_is_wrong_is_said_with_its_place_and_no_file_is_made(owner):
    found = owner("POST", "/patterns", {"text": CROSSED})[1]
    assert found["pieces"] == []
    [one] = found["refused"]
    assert one["at"] == pytest.approx([150, 150])
    assert "crosses itself" in one["what"]
    assert one["mend"]
    status, said = owner("POST", "/patterns/file", {"text": CROSSED, "name": "pattern-a4.pdf"})
    assert (status, said["code"]) == (422, "pattern")
    bare = SQUARE.replace(' width="500mm"', "")
    status, said = owner("POST", "/patterns", {"text": bare})
    assert (status, said["problems"][0]["code"]) == (422, "pattern.unit")
    assert owner("POST", "/patterns", {"text": bare, "unit": "cm"})[1]["pieces"][0]["across_mm"] == pytest.approx(3000)
    assert owner("POST", "/patterns", {"text": "x" * 500_001})[0] == 422
    assert owner("POST", "/patterns/file", {"text": SQUARE, "name": "plan.exe"})[0] == 404


def test_it_is_for_who_may_lay(owner):
    User.objects.filter(username="ebba").update(role="sewer")
    assert owner("POST", "/patterns", {"text": SQUARE})[0] == 403
