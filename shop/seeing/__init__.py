"""What is seen of an installation while it runs: its log, its health, its figures. It has no tables, knows no room."""
