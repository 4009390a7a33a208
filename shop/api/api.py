"""The API: its routers, its errors, and that everybody is logged in unless a path says otherwise."""

from typing import Any

from ninja import NinjaAPI
from ninja.openapi.schema import OpenAPISchema

from shop.api import errors
from shop.api.auth import Door
from shop.api.incoming import Incoming
from shop.api.routers import (
    archive,
    chalk,
    clients,
    design,
    files,
    fitting,
    group,
    house,
    installation,
    jobs,
    lays,
    money,
    orders,
    outside,
    people,
    plans,
    plots,
    practice,
    prices,
    quick_price,
    reminders,
    session,
    sewing,
    sheets,
    shelf,
    shopping,
    tablets,
    tape,
    ticket_moves,
    week,
    work,
)


class DescribedAPI(NinjaAPI):
    """The API, whose description says of every operation how it refuses."""

    def get_openapi_schema(self, **about: Any) -> OpenAPISchema:
        described = super().get_openapi_schema(**about)
        described.setdefault("components", {}).setdefault("schemas", {})["Refusal"] = errors.DESCRIBED
        said = {"application/problem+json": {"schema": {"$ref": "#/components/schemas/Refusal"}}}
        for ways in described["paths"].values():
            for way in ways.values():
                answers = {str(status): answer for status, answer in way["responses"].items()}
                way["responses"] = answers | {"4XX": {"description": "Refused, in words", "content": said}}
        return described


api = DescribedAPI(
    title="Plavet", version="1", docs_url=None, openapi_url=None, auth=Door(csrf=True), parser=Incoming()
)
errors.install(api)
api.add_router("/session", session.router)
api.add_router("", clients.router)
api.add_router("", sheets.router)
api.add_router("", orders.router)
api.add_router("", plans.router)
api.add_router("", design.router)
api.add_router("", files.router)
api.add_router("", fitting.router)
api.add_router("", group.router)
api.add_router("", house.router)
api.add_router("", installation.router)
api.add_router("", archive.router)
api.add_router("", jobs.router)
api.add_router("", lays.router)
api.add_router("", money.router)
api.add_router("", prices.router)
api.add_router("", quick_price.router)
api.add_router("", plots.router)
api.add_router("", chalk.router)
api.add_router("", outside.router)
api.add_router("", people.router)
api.add_router("", practice.router)
api.add_router("", reminders.router)
api.add_router("", sewing.router)
api.add_router("", week.router)
api.add_router("", work.router)
api.add_router("", shelf.router)
api.add_router("", shopping.router)
api.add_router("", tape.router)
api.add_router("", tablets.router)
api.add_router("", ticket_moves.router)
