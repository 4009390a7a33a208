"""What is done to a week, and what its board shows, through the API."""

FULL = [["08:00", "12:00"], ["13:00", "17:00"]]
WEEK = [*([FULL] * 5), [], []]


def put_hours(owner, person, skills, week=WEEK):
    now = next(one for one in owner.get("/hours")["people"] if one["person"] == person)
    return owner("PUT", f"/hours/{person}", {"version": now["version"], "skills": skills, "week": week})


def move(owner, order, kinds, person, day, **more):
    return owner("POST", f"/orders/{order}/moves", {"kinds": kinds, "person": person, "day": day} | more)


def on_board(owner):
    """Who does what of which order on which day, by the week's board."""
    return {
        (ticket["order"], kind): (row["name"], day["day"])
        for row in owner.get("/week")["rows"] for day in row["days"] for ticket in day["tickets"]
        for kind in ticket["kinds"]
    }  # fmt: skip
