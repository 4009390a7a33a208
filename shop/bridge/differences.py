"""What one job has otherwise than another, in words."""

from collections.abc import Mapping
from typing import Any

from cutting.kinds import KINDS, PAIRS, all_styles, kind_of
from cutting.lengths import read, show
from shop.bridge.house import LENGTHS, choices_in, length_in
from shop.bridge.words import as_unit, words

MOST = 6
"""No more differences than these are said one by one."""
CLOTH = {
    "width": "width", "length": "length in hand", "fold": "fold", "sections": "sections", "one_way": "one way",
    "shrink_percent": "shrinking", "stretch_percent": "stretch", "kind": "kind", "thickness": "thickness",
    "repeat": "repeat", "pleated": "pleats", "selvedge": "selvedge", "trim": "trimmed end", "spare": "spare",
}  # fmt: skip
"""What of a cloth moves a mark or a piece; its price does not."""


def differences(was: dict[str, Any], now: dict[str, Any], unit: str) -> list[str]:
    """Each difference as "hip: 39 before, 39 1/2 now"; of many the first ones and how many more there are."""
    turned = was["unit"] != now["unit"]
    if turned:
        was, now = (_written_out(job) for job in (was, now))
    told = [_changed("unit", was["unit"], now["unit"])] if turned else []
    told += [
        _changed(words().measure_name(key), *(size and _length(size, unit) for size in (one, other)))
        for key, one, other in _apart(was["measurements"], now["measurements"])
    ]
    garments = [{one["id"]: one for one in job["garments"]} for job in (was, now)]
    for name, one, other in _apart(*garments):
        told += _of_garment(name, one, other) if one and other else [_changed(name, one and "there", other and "there")]
    told += [
        f"{name}: the house pattern" if one and other else _changed(name, one and "there", other and "there")
        for name, one, other in _apart(*({one["id"]: one for one in job.get("patterns", ())} for job in (was, now)))
    ]
    for part, title in (("cloth", "cloth"), ("other_cloth", "other cloth")):
        there = [{key: (job.get(part) or {}).get(key) for key in CLOTH} for job in (was, now)]
        told += [_changed(f"{title}, {CLOTH[key]}", one, other) for key, one, other in _apart(*there)]
    if was.get("others", []) != now.get("others", []):
        told.append("the outfits of the others on this cloth")
    return told if len(told) <= MOST else [*told[: MOST - 1], f"and {len(told) - MOST + 1} more"]


def _written_out(job: dict[str, Any]) -> dict[str, Any]:
    """A job with the unit of every length, to be compared with one in the other unit."""
    unit = job["unit"]

    def cloth(fields: dict[str, Any] | None) -> dict[str, Any] | None:
        return fields and {
            key: length_in(value, unit) if key in LENGTHS and value else value for key, value in fields.items()
        }

    garments = [
        choices_in(one, unit) | {"choices": choices_in(one.get("choices") or {}, unit)} for one in job["garments"]
    ]
    sizes = {key: length_in(size, unit) for key, size in job["measurements"].items()}
    cloths = {part: cloth(job.get(part)) for part in ("cloth", "other_cloth")}
    return job | cloths | {"measurements": sizes, "garments": garments}


def shorter(was_mm: float, now_mm: float, unit: str) -> str:
    """That another lay was found for the same pieces."""
    return _changed("lay", *(show(mm, as_unit(unit)).text for mm in (was_mm, now_mm)))


def _length(typed: str, unit: str) -> str:
    """A length of a job as a tape of that unit shows it."""
    return show(read(typed, as_unit(unit)), as_unit(unit)).text


def _apart(was: Mapping[str, Any], now: Mapping[str, Any]) -> list[tuple[str, Any, Any]]:
    keys = [*was, *(key for key in now if key not in was)]
    return [(key, was.get(key), now.get(key)) for key in keys if was.get(key) != now.get(key)]


def _changed(what: str, was: Any, now: Any) -> str:
    return f"{what}: {_said(was)} before, {_said(now)} now"


def _said(value: Any) -> str:
    if isinstance(value, bool):
        return "yes" if value else "no"
    return str(value) if value not in (None, "", [], {}) and not isinstance(value, dict | list) else "none"


def _of_garment(name: str, was: dict[str, Any], now: dict[str, Any]) -> list[str]:
    """Style, method and the choices, those of a jumpsuit's halves too."""
    if was["style"] != now["style"]:
        return [_changed(f"{name}, style", *(words().style_name(one["style"]) for one in (was, now)))]
    if was["style"] in PAIRS:
        halves = [(half, was.get(half) or {}, now.get(half) or {}) for half in PAIRS[was["style"]].halves]
        return [line for half, one, other in halves for line in _of_half(f"{name}, {half}", half, one, other)]
    kind = kind_of(was["style"]).name if was["style"] in all_styles() else ""
    return _of_half(name, kind, was, now)


def _of_half(name: str, kind: str, was: dict[str, Any], now: dict[str, Any]) -> list[str]:
    if was.get("style") != now.get("style"):
        return [_changed(f"{name}, style", *(words().style_name(one.get("style", "")) for one in (was, now)))]
    told = []
    if was.get("method") != now.get("method"):
        told = [_changed(f"{name}, method", *(words().method_words(str(one.get("method"))).name for one in (was, now)))]
    chosen = [one.get("choices") or {} for one in (was, now)]
    for key, one, other in _apart(*chosen):
        told += [f"{name}: {title.lower()}" for title in _titles(kind, key, one, other)]
    return told


def _titles(kind: str, key: str, was: Any, now: Any) -> list[str]:
    """What a choice is called that differs; of a set of lengths each one that does."""
    choice = KINDS[kind].choices.get(key) if kind in KINDS else None
    if choice is None:
        return [key]
    if choice.kind == "allowances":
        sets = [one if isinstance(one, dict) else {} for one in (was, now)]
        edges = [edge for edge, _, _ in _apart(*sets) if edge in choice.offered]
        return [f"allowance, {words().choice_words(kind, f'{key}.{edge}', False).legend}" for edge in edges]
    return [words().choice_words(kind, key, False).legend]
