"""What the shapes of all files have in common."""

from pydantic import BaseModel, ConfigDict


class Wire(BaseModel):
    """Words of Python, such as `with`, carry an underscore here and none on the wire."""

    model_config = ConfigDict(populate_by_name=True, serialize_by_alias=True)
