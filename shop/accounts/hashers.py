"""How passwords are kept: argon2id, with so little memory that many log-ins at once do not fill the machine."""

from django.contrib.auth.hashers import Argon2PasswordHasher


class Argon2(Argon2PasswordHasher):
    """19 MiB, two passes, one lane: the least that the OWASP cheat sheet on storing passwords has (from memory)."""

    time_cost = 2
    memory_cost = 19_456
    parallelism = 1
