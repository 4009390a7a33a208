"""The core: what a tailor works out at the table, in millimetres, with no web and no clock."""
