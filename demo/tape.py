"""A stand-in for a digital tape: sends readings to a code, with slips and drop-outs on demand.

./plavet tape CODE 41.5                 one reading, in inches
./plavet tape CODE 41.5 24 --slip half  each reading with a slip: half, double, cm (the unit mixed up), swap (digits)
./plavet tape CODE 41.5 --drop 2        every second reading is lost on the way
"""

import argparse
import json
import sys
import time
import urllib.error
import urllib.request
from collections.abc import Callable
from uuid import uuid4

SLIPS: dict[str, Callable[[float], str]] = {
    "none": lambda inches: f"{inches:g} in",
    "half": lambda inches: f"{inches / 2:g} in",
    "double": lambda inches: f"{inches * 2:g} in",
    "cm": lambda inches: f"{inches:g} cm",
    "swap": lambda inches: f"{str(int(inches))[::-1]} in",
}


def send(address: str, code: str, typed: str) -> None:
    """Send one reading. Raises OSError where it does not arrive."""
    body = json.dumps({"id": str(uuid4()), "typed": typed}).encode()
    request = urllib.request.Request(  # noqa: S310  # the address is the workshop's own server
        f"{address.rstrip('/')}/api/tape/{code}/readings", body, {"Content-Type": "application/json"}
    )
    urllib.request.urlopen(request, timeout=5).close()  # noqa: S310  # as above


def main(words: list[str], address: str) -> int:
    """Send each reading; 0 where all that were sent arrived."""
    parser = argparse.ArgumentParser(prog="plavet tape", description="A digital tape's stand-in.")
    parser.add_argument("code", help="the code the Measure page shows")
    parser.add_argument("inches", nargs="+", type=float)
    parser.add_argument("--slip", choices=SLIPS, default="none")
    parser.add_argument("--drop", type=int, default=0, metavar="N", help="lose every Nth reading")
    parser.add_argument("--pause", type=float, default=1.0, metavar="S", help="seconds between readings")
    asked = parser.parse_args(words)
    for number, inches in enumerate(asked.inches, 1):
        typed = SLIPS[asked.slip](inches)
        if asked.drop and number % asked.drop == 0:
            print(f"{typed}: lost on the way")
        else:
            try:
                send(address, asked.code, typed)
            except urllib.error.HTTPError as error:
                print(
                    f"The code {asked.code} is not paired ({error.code}). Pair the tape on Measure.",
                    file=sys.stderr,
                )
                return 1
            except OSError:
                print(f"Nobody answers at {address}. Start ./plavet demo.", file=sys.stderr)
                return 1
            print(typed)
        if number < len(asked.inches):
            time.sleep(asked.pause)
    return 0
