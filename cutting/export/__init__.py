"""Other forms of a plan: a writer a format, which knows drawings and nothing of tailoring; words for the shell."""
