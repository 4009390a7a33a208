"""The job file, version 1: read whole, every problem found at once."""

import json
import re
from decimal import Decimal, InvalidOperation
from fractions import Fraction
from math import isfinite
from typing import Any, Literal

from pydantic import Field, ValidationError

from cutting.body import Body, nearest
from cutting.cloth import FOLDS, PARTS, THICKNESSES, Cloth
from cutting.codes import ProblemCode
from cutting.errors import CuttingError, Problem, refuse
from cutting.formats.corrections_v1 import CorrectionIn, read_corrections
from cutting.formats.garment_v1 import Cloths, GarmentIn, read_garment
from cutting.formats.pattern_v1 import PatternIn, check_amount, read_pattern_ask
from cutting.formats.values_v1 import Size, Strict, exact_mm, known, percent, placed, read_measure
from cutting.job import AnyAsk, Job, Outfit
from cutting.lengths import Fixed, Unit, on_tape
from cutting.where import CLOTH, JOB, LAY, OTHER_CLOTH, Where, measure
from cutting.yardage import UNITS

MOST_BYTES, MOST_DEPTH, MOST_GARMENTS, MOST_OTHERS = 1_000_000, 12, 20, 59


class ClientIn(Strict):
    name: str = Field("", max_length=120)


class ClothIn(Strict):
    kind: str = "cotton"
    width: Size
    length: Size | None = None
    fold: str = "auto"
    sections: dict[str, str] = Field(default_factory=dict)
    one_way: bool = False
    repeat: Size | None = None
    shrink_percent: int | Decimal | str | None = None
    stretch_percent: int | Decimal | str | None = None
    selvedge: Size | None = None
    trim: Size | None = None
    spare: Size | None = None
    thickness: str = "usual"
    pleated: bool = False
    colour: str | None = None
    price: int | Decimal | str | None = None
    unit_of_sale: str | None = None


class OtherIn(Strict):
    """Another client's outfit, cut from the same cloth."""

    id: str
    measurements: dict[str, Size]
    garments: list[GarmentIn]
    patterns: list[PatternIn] = Field(default_factory=list)
    corrections: list[CorrectionIn] = Field(default_factory=list)


class LayIn(Strict):
    seconds: int | Decimal = 5
    seed: int = 1


class JobIn(Strict):
    """The file `plavet-job`, version 1."""

    format: Literal["plavet-job"]
    version: Literal[1]
    unit: Literal["in", "cm"] = "in"
    client: ClientIn = ClientIn()
    measurements: dict[str, Size]
    garments: list[GarmentIn]
    patterns: list[PatternIn] = Field(default_factory=list)
    corrections: list[CorrectionIn] = Field(default_factory=list)
    cloth: ClothIn
    others: list[OtherIn] = Field(default_factory=list)
    other_cloth: ClothIn | None = None
    cut_from: Literal["main", "other"] = "main"
    lay: LayIn | None = None


def read_job_text(text: str | bytes) -> Job:
    """A job from the text of a file. Raises CuttingError with every problem in it."""
    if len(text) > MOST_BYTES:
        raise refuse("job.large")

    def once(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
        seen: dict[str, Any] = {}
        for key, value in pairs:
            if key in seen:
                raise refuse("job.twice", key=key[:60])
            seen[key] = value
        return seen

    def constant(word: str) -> Any:
        raise refuse("job.number", word=word)

    def number(word: str) -> Decimal:
        if len(word) > 30:
            raise refuse("job.number", word=word[:30])
        value = Decimal(word)
        if not value.is_finite() or abs(value) > 10**9:
            raise refuse("job.number", word=word[:30])
        return value

    try:
        raw = json.loads(
            text, object_pairs_hook=once, parse_constant=constant, parse_float=number,
            parse_int=lambda word: int(number(word)),
        )  # fmt: skip
    except RecursionError:
        raise refuse("job.deep") from None
    except UnicodeDecodeError:
        raise refuse("job.utf8") from None
    except json.JSONDecodeError as error:
        raise refuse("job.json", line=error.lineno, column=error.colno) from None
    return read_job(raw)


def _depth(value: Any, level: int = 0) -> int:
    if level > MOST_DEPTH or not isinstance(value, dict | list):
        return level
    inner = value.values() if isinstance(value, dict) else value
    return max((_depth(one, level + 1) for one in inner), default=level)


def _exact(value: Any) -> Any:
    """Plain data with every float as the decimal it was written as."""
    if isinstance(value, dict):
        return {key: _exact(one) for key, one in value.items()}
    if isinstance(value, list):
        return [_exact(one) for one in value]
    if isinstance(value, float):
        if not isfinite(value):
            raise refuse("job.number", word=str(value))
        return Decimal(repr(value))
    return value


def read_job(raw: Any) -> Job:
    """A job from plain data. Raises CuttingError with every problem in it."""
    if not isinstance(raw, dict) or raw.get("format") != "plavet-job":
        raise refuse("job.format", JOB / "format")
    version = raw.get("version")
    if isinstance(version, int) and version > 1:
        raise refuse("job.newer", JOB / "version", version=version)
    if _depth(raw) > MOST_DEPTH:
        raise refuse("job.deep")
    try:
        job = JobIn.model_validate(_exact(raw))
    except ValidationError as error:
        raise CuttingError(*_shape_problems(error, raw)) from None
    with on_tape(job.unit):
        return _read(job)


def _read(job: JobIn) -> Job:
    problems: list[Problem] = []
    body = _body(job, job.unit, "", problems)
    cloth = _cloth(job.cloth, job.unit, CLOTH, problems)
    other = _cloth(job.other_cloth, job.unit, OTHER_CLOTH, problems) if job.other_cloth else None
    if job.cut_from == "other" and job.other_cloth is None:
        problems.append(Problem("job.missing", OTHER_CLOTH, {"key": "other_cloth"}))
    garments = _garments(job, job.unit, "", (cloth, other), problems)
    others = _others(job, (cloth, other), problems)
    lay = job.lay or LayIn(seconds=0)
    if not 0 <= lay.seconds <= 600:
        problems.append(Problem("lay.seconds", LAY / "seconds"))
    cut = other if job.cut_from == "other" else cloth
    if problems or cut is None:
        raise CuttingError(*problems)
    return Job(job.unit, body, garments, cut, job.client.name, float(lay.seconds), lay.seed, job.cut_from, others)


def _shape_problems(error: ValidationError, raw: dict[str, Any]) -> list[Problem]:
    problems: dict[Where, Problem] = {}
    known: dict[str, type[Strict]] = {
        "": JobIn, "client": ClientIn, "cloth": ClothIn, "lay": LayIn, "garments": GarmentIn,
    }  # fmt: skip
    for one in error.errors():
        path = [str(part) for part in one["loc"]]
        kinds = {"int", "decimal", "str", "is-instance[Decimal]"}
        path = [part for part in path if part not in kinds and not part.startswith(("function", "lax", "json-or"))]
        if path[:1] == ["garments"] and len(path) > 1 and path[1].isdigit():
            path[1] = _garment_name(raw, int(path[1]))
        where = measure(path[1]) if path[0] == "measurements" and len(path) > 1 else Where("job", tuple(path))
        if one["type"] == "extra_forbidden":
            model = known.get(path[0] if len(path) > 1 else "", JobIn)
            params = {"key": path[-1], "close": nearest(path[-1], list(model.model_fields))}
            problems[where] = Problem("job.unknown", where, params)
        elif one["type"] == "missing":
            problems[where] = Problem("job.missing", where, {"key": path[-1]})
        else:
            wanted = "measure" if path[0] == "measurements" else SHAPES.get(one["type"], "other")
            problems[where] = Problem("job.kind", where, {"wanted": wanted})
    return list(problems.values())


SHAPES = {
    "string_type": "text", "string_too_long": "text", "bool_type": "yes_no", "list_type": "list", "dict_type": "set",
    "model_type": "set", "literal_error": "one_of", "int_type": "number", "decimal_type": "number",
    "is_instance_of": "number", "model_attributes_type": "set",
}  # fmt: skip
"""What is wanted, by what pydantic finds wrong."""


def _garment_name(raw: dict[str, Any], index: int) -> str:
    try:
        return str(raw["garments"][index]["id"])[:40]
    except (KeyError, TypeError, IndexError):
        return str(index)


def _others(job: JobIn, cloths: Cloths, problems: list[Problem]) -> tuple[Outfit, ...]:
    if len(job.others) > MOST_OTHERS:
        raise refuse("job.many_others", JOB / "others", count=len(job.others), most=MOST_OTHERS)
    seen: set[str] = set()
    read: list[Outfit] = []
    for one in job.others:
        name = one.id[:40]
        if not re.fullmatch(r"[a-z0-9-]{1,40}", one.id) or one.id in seen:
            problems.append(Problem("job.id", JOB / "others" / name, {"word": name}))
        seen.add(one.id)
        body = _body(one, job.unit, name, problems)
        read.append(Outfit(one.id, body, _garments(one, job.unit, name, cloths, problems)))
    return tuple(read)


def _body(raw: "JobIn | OtherIn", unit: Unit, outfit: str, problems: list[Problem]) -> Body:
    """The client: the measures, and what fittings found."""
    sizes: dict[str, Fraction] = {}
    for key, value in raw.measurements.items():
        try:
            sizes[key] = read_measure(key, value, unit, Where("measurements", (key,), outfit=outfit))
        except CuttingError as error:
            problems.extend(error.problems)
    return Body(sizes, read_corrections(raw.corrections, unit, outfit, problems))


def _garments(
    raw: "JobIn | OtherIn", unit: Unit, outfit: str, cloths: Cloths, problems: list[Problem]
) -> tuple[AnyAsk, ...]:
    """What is asked of each garment, then each house pattern."""
    whole = Where("garments", outfit=outfit)
    if not raw.garments:
        problems.append(Problem("job.missing", whole, {"key": "garments"}))
    count = len(raw.garments) + len(raw.patterns)
    if count > MOST_GARMENTS:
        raise refuse("job.many", whole, count=count)
    check_amount(raw.patterns, whole)
    asked: list[AnyAsk] = []
    seen: set[str] = set()
    every: list[GarmentIn | PatternIn] = [*raw.garments, *raw.patterns]
    for garment in every:
        where = Where("garments", (), garment.id[:40], "", outfit)
        if not re.fullmatch(r"[a-z0-9-]{1,40}", garment.id) or garment.id in seen:
            problems.append(Problem("job.id", where, {"word": garment.id[:40]}))
        seen.add(garment.id)
        one: AnyAsk | None
        if isinstance(garment, PatternIn):
            one = read_pattern_ask(garment, where, problems)
        else:
            one = read_garment(garment, unit, where, cloths, problems)
        if one is not None:
            asked.append(one)
    return tuple(asked)


def _cloth(raw: ClothIn, unit: Unit, where: Where, problems: list[Problem]) -> Cloth | None:
    before = len(problems)

    def length(key: str, least: float, most: float, code: ProblemCode) -> Fraction | None:
        value = getattr(raw, key)
        if value is None or (value == "" and key != "width"):
            return None
        try:
            size = exact_mm(value, unit)
        except CuttingError as error:
            problems.extend(placed(error, where / key))
            return None
        if not least <= size <= most:
            problems.append(Problem(code, where / key, {"shown": Fixed(size)}))
            return None
        return size

    width = length("width", 150, 3300, "cloth.width")
    in_hand = length("length", 50, 200_000, "cloth.length")
    small = {key: length(key, 0, 1000, "cloth.small") for key in ("selvedge", "trim", "spare", "repeat")}
    known(raw.fold, ("auto", *FOLDS, "sections"), (), where / "fold", problems)
    for part, fold in raw.sections.items():
        known(part, PARTS, (), where / "sections", problems)
        known(fold, ("auto", *FOLDS), (), where / "sections" / part[:40], problems)
    shrink = percent(raw.shrink_percent, 20, where / "shrink_percent", problems)
    stretch = percent(raw.stretch_percent, 200, where / "stretch_percent", problems)
    known(raw.thickness, THICKNESSES, (), where / "thickness", problems)
    if raw.unit_of_sale and raw.unit_of_sale not in UNITS:
        known(raw.unit_of_sale, tuple(UNITS), (), where / "unit_of_sale", problems)
    price = _price(raw.price, where / "price", problems)
    repeat = small["repeat"]
    if repeat is not None and in_hand is not None and repeat > in_hand:
        problems.append(Problem("cloth.repeat", where / "repeat", {"shown": Fixed(repeat), "length": Fixed(in_hand)}))
    if len(problems) > before or width is None:
        return None
    return Cloth(
        kind=raw.kind[:40], width=width, length=in_hand, fold=raw.fold,
        one_way=raw.one_way, shrink_percent=shrink, stretch_percent=stretch,
        thickness=raw.thickness, pleated=raw.pleated, unit_of_sale=raw.unit_of_sale or "", price=price,
        sections=tuple(sorted(raw.sections.items())),
        **{key: value for key, value in small.items() if value is not None},
    )  # fmt: skip


def _price(raw: int | Decimal | str | None, where: Where, problems: list[Problem]) -> Fraction | None:
    """Money for a yard or a metre: figures, a point or a comma before hundredths."""
    if raw is None or str(raw).strip() == "":
        return None
    try:
        price = Decimal(str(raw).strip().replace(",", "."))
    except InvalidOperation:
        price = Decimal(-1)
    if not price.is_finite() or not 0 <= price <= 1_000_000:
        problems.append(Problem("cloth.price", where, {"word": str(raw)[:20]}))
        return None
    return Fraction(price)
