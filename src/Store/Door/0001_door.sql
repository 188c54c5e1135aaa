-- One line: this kitchen's own id, by which its screens know it, and the passphrase as a slow hash.
create table door (
  one integer primary key check (one = 1),
  kitchen text not null,
  passphrase text
);

create table screen (
  id text primary key,
  name text not null,
  kind text not null,
  let_in_at text not null,
  seen_at text not null
);
