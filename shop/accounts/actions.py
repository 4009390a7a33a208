"""Writes about people: logging in and out."""

from django.contrib.auth import authenticate, login, logout
from django.http import HttpRequest

from shop.accounts.models import User


def log_in(request: HttpRequest, user_name: str, password: str) -> User | None:
    """Check the password and start a new session; None if the two do not fit."""
    user = authenticate(request=request, username=user_name, password=password)
    if not isinstance(user, User):
        return None
    login(request, user)
    return user


def log_out(request: HttpRequest) -> None:
    """End the session."""
    logout(request)
