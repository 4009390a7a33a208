"""What is sewn of an order: operations ticked by whom and when."""
