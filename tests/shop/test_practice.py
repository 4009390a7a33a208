"""Practising: answers are graded and kept once, a rule is learned by five in a row, the owner sees everybody's."""

from uuid import uuid4

from cutting.lengths import read
from shop.accounts.models import User
from shop.practice.models import Answer
from tests.shop.conftest import Caller
from tests.shop.test_chalk import colleague, plan_of

DRILL = {"method": "quarter-hip", "style": "straight-trousers"}
EXTENSION = "front.crotch_extension"


def drilled(call, rule=EXTENSION, seed=20):
    made = call.get(f"/drills/quarter-hip?style=straight-trousers&rule={rule}&seed={seed}")
    return made["questions"]


def right_of(question):
    """A sixteenth of the hip, as the rule has it, from the client's card."""
    hip = next(one["typed"] for one in question["measures"] if one["key"] == "hip")
    return f"{float(read(hip, 'in')) / 25.4 / 16:.4f}"


def answer(call, question, typed, id=None):
    body = DRILL | {"rule": question["rule"], "seed": question["seed"], "typed": typed}
    return call("PUT", f"/drill-answers/{id or uuid4()}", body)


def test_a_rule_is_learned_by_five_right_ones_in_a_row_and_the_owner_sees_it(owner):
    ida = colleague("apprentice")
    questions = drilled(ida)
    assert len({one["seed"] for one in questions}) == len(questions) == 8
    status, wrong = answer(ida, questions[0], str(4 * float(right_of(questions[0]))))
    assert (status, wrong["right"], wrong["slip"]) == (200, False, "fourfold")
    for one in questions[:4]:
        assert answer(ida, one, right_of(one))[1]["right"]
    (row,) = ida.get("/learned")
    assert (row["asked"], row["right"], row["learned"]) == (5, 4, False)
    assert row["slip"] == "four times as much"
    assert row["last"] == [True] * 4 + [False]
    again = str(uuid4())
    for _ in range(2):
        assert answer(ida, questions[5], right_of(questions[5]), again)[1]["right"]
    (row,) = ida.get("/learned")
    assert (row["asked"], row["learned"], row["name"]) == (6, True, "Front, crotch extension")

    team = {one["name"]: one for one in owner.get("/learners")}
    assert (team["Apprentice"]["asked"], team["Apprentice"]["learned"], team["Apprentice"]["rules"]) == (6, 1, 1)
    assert team["Ebba"]["asked"] == 0
    who = team["Apprentice"]["id"]
    assert owner.get(f"/learned?who={who}") == ida.get("/learned")
    assert owner.get("/learned") == []
    assert ida("GET", "/learners")[0] == 403
    assert ida("GET", f"/learned?who={User.objects.get(username='ebba').id}")[0] == 403


def test_what_nobody_can_answer_is_refused_in_words_and_not_kept(owner, stranger):
    question = drilled(owner)[0]
    for typed, what in (("eleven", "cannot be read"), ("1 1/0", "fraction")):
        status, said = answer(owner, question, typed)
        assert status == 422
        assert what in said["problems"][0]["what"] + said["problems"][0]["mend"]
    for change in ({"rule": "front.nothing"}, {"method": "no-such"}, {"style": "no-such"}, {"style": "bodice"}):
        body = DRILL | {"rule": EXTENSION, "seed": 1, "typed": "2"} | change
        assert owner("PUT", f"/drill-answers/{uuid4()}", body)[0] == 422, change
    assert owner("GET", "/drills/quarter-hip?rule=front.nothing")[0] == 422
    assert owner("GET", "/drills/quarter-hip?seed=1000000")[0] == 422
    assert not Answer._base_manager.exists()
    # Somebody's id in another workshop is nobody's here.
    assert stranger("GET", f"/learned?who={User.objects.get(username='ebba').id}")[0] == 404


def test_a_hidden_call_is_answered_by_the_plan_that_is_shown(owner, order):
    made = plan_of(owner, order)
    mark = next(one for one in made["plan"]["marks"] if one["by_hand"])
    measured = next(one for one in made["plan"]["marks"] if one["shown"] and not one["by_hand"])
    body = {"plan": made["id"], "stamp": made["stamp"], "call": mark["n"]}
    status, said = owner("PUT", f"/call-answers/{uuid4()}", body | {"typed": mark["shown"]})
    assert (status, said["right"], said["shown"]) == (200, True, mark["shown"])
    status, said = owner("PUT", f"/call-answers/{uuid4()}", body | {"typed": str(mark["reads_mm"] * 2) + " mm"})
    assert (said["right"], said["slip"]) == (False, "double")
    assert owner.get("/learned")[0]["name"] == "At the table"
    assert owner("PUT", f"/call-answers/{uuid4()}", body | {"call": measured["n"], "typed": "1"})[0] == 422
    assert owner("PUT", f"/call-answers/{uuid4()}", body | {"stamp": "another", "typed": "1"})[0] == 409
    # What is chalked is answered by the plan it is chalked by.
    tick = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": 1}
    assert owner("PUT", f"/ticks/{uuid4()}", tick)[0] == 200
    assert owner("PUT", f"/call-answers/{uuid4()}", body | {"typed": mark["shown"]})[1]["right"]


def test_as_many_queries_for_many_answers_as_for_few(owner):
    question = drilled(owner)[0]

    def asked(path):
        return owner.counted(path)[0]

    answer(owner, question, "2")
    few = asked("/learned"), asked("/learners")
    workshop = User.objects.get(username="ebba").workshop
    for number in range(6):
        who = Caller(User.objects.create(username=f"who{number}", workshop=workshop, role="sewer"))
        for rule in ("front.hip_width", "back.crotch_extension"):
            for one in drilled(who, rule, 3 * number)[:2]:
                answer(who, one, "3")
                answer(owner, one, "4")
    assert (asked("/learned"), asked("/learners")) == few
