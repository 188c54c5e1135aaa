-- What the log finds by, the plan as it was on the day, and what else was taken of a cooking.
alter table log_entry add column planned text;
alter table log_entry add column more text not null default '{}';
alter table log_entry add column filling integer;
alter table log_entry add column wall integer;
alter table log_entry add column counts integer not null default 1;
-- The batch's name and the note, folded to small letters without marks.
alter table log_entry add column words text not null default '';
alter table log_entry add column name text not null default '';
alter table log_entry add column bread_id text;
alter table log_entry add column photo_id text;

update log_entry set
  name = (select b.name from batch b where b.id = batch_id),
  bread_id = (select b.bread_id from batch b where b.id = batch_id),
  words = lower((select b.name from batch b where b.id = batch_id) || ' ' || note);

drop index log_entry_by_day;
create index log_entry_by_day on log_entry (cooked_at desc, id desc) where deleted_at is null;
-- A search reads words and days alone, never the specs beside them.
create index log_entry_words on log_entry (cooked_at desc, id desc, words, bread_id) where deleted_at is null;
create index log_entry_by_bread on log_entry (bread_id, cooked_at desc, id desc) where deleted_at is null;

create table log_flour (
  flour text not null,
  entry_id text not null references log_entry (id),
  primary key (flour, entry_id)
) strict, without rowid;
insert into log_flour (flour, entry_id)
select distinct f.value ->> '$.id', e.id from log_entry e, json_each(e.spec, '$.dough.flours') f where f.value ->> '$.id' is not null;

-- One row a symptom; an entry that was looked at and had none says so in its own row.
create table log_fault (
  symptom text not null,
  entry_id text not null references log_entry (id),
  primary key (symptom, entry_id)
) strict, without rowid;
create index log_fault_of on log_fault (entry_id);

-- What a cooking teaches, worked out when it is kept; the newest of each are read for every plan.
create table lesson (
  entry_id text not null references log_entry (id),
  kind text not null,
  of text not null,
  value real not null,
  cooked_at text not null,
  primary key (kind, of, cooked_at, entry_id)
) strict, without rowid;
create index lesson_by_day on lesson (kind, cooked_at desc);
create index lesson_of on lesson (entry_id);

-- What the cook wants used in plans. Cookings before forgotten_at no longer count.
create table learned (
  kind text not null,
  of text not null,
  used integer not null,
  forgotten_at text,
  primary key (kind, of)
) strict, without rowid;

create table photo (
  id text primary key,
  kind text not null,
  body blob not null,
  small blob not null,
  made_at text not null
) strict;

-- So that a service finds its way into the log of its batch.
alter table service add column batch_id text;
update service set batch_id = body ->> '$.batchId';
create index service_by_batch on service (batch_id, opened_at desc);
