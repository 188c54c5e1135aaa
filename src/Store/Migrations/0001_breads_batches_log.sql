create table bread (
  id text primary key,
  name text not null,
  about text not null,
  spec text not null,
  changed_at text not null,
  deleted_at text
) strict;

create table batch (
  id text primary key,
  bread_id text references bread (id),
  name text not null,
  spec text not null,
  made_for text not null,
  changed_at text not null,
  deleted_at text
) strict;

create index batch_by_day on batch (made_for desc) where deleted_at is null;

-- One row a cooking, with the spec it was cooked by: a batch that is changed later does not change its record.
-- Figures the cook did not take stay null: nothing is not zero.
create table log_entry (
  id text primary key,
  batch_id text not null references batch (id),
  spec text not null,
  cooked_at text not null,
  pieces integer,
  flour_g real,
  liquid_g real,
  dough_fat_g real,
  salt_g real,
  ball_g real,
  pan_c real,
  first_side_s real,
  second_side_s real,
  last_side_s real,
  soft integer,
  leaves integer,
  colour integer,
  taste integer,
  note text not null,
  changed_at text not null,
  deleted_at text
) strict;

create index log_entry_by_day on log_entry (cooked_at desc) where deleted_at is null;
create index log_entry_by_batch on log_entry (batch_id) where deleted_at is null;
