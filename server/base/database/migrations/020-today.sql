-- What somebody put off on Today: not today, or not at all. `until` is the first day on which it is told again.
CREATE TABLE put_off (
  item TEXT PRIMARY KEY,
  until TEXT NOT NULL
) STRICT;
