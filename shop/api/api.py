"""The API: its routers, its errors, and that everybody is logged in unless a path says otherwise."""

from ninja import NinjaAPI
from ninja.security import SessionAuth

from shop.api import errors
from shop.api.incoming import Incoming
from shop.api.routers import clients, design, group, lays, orders, people, session, sheets, shelf, tape

api = NinjaAPI(
    title="Plavet", version="1", docs_url=None, openapi_url=None, auth=SessionAuth(csrf=True), parser=Incoming()
)
errors.install(api)
api.add_router("/session", session.router)
api.add_router("", clients.router)
api.add_router("", sheets.router)
api.add_router("", orders.router)
api.add_router("", design.router)
api.add_router("", group.router)
api.add_router("", lays.router)
api.add_router("", people.router)
api.add_router("", shelf.router)
api.add_router("", tape.router)
