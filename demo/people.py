"""Who works in the invented workshop, and who lets it sew. Nobody here exists."""

WORKSHOP_NAME = "Harbour Lane Workshop"
OWNER_NAME = "ebba"
OWNER_PASSWORD = "three-tables"
