-- Phones and other devices that may come in from the network. Of a token only its hash is kept: who reads the file
-- cannot come in by it.
CREATE TABLE devices (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  token_hash TEXT NOT NULL UNIQUE,
  paired_at TEXT NOT NULL,
  seen_at TEXT NOT NULL
) STRICT;
