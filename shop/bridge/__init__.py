"""The only package of the shop that knows the core: one module a subject."""
