-- Practice at the fold beside that at the pan, the level of a round, and what was trained in it.
alter table practice add column kind text not null default 'Pan';
alter table practice add column level integer not null default 1;
alter table practice add column heat integer;
alter table practice add column colour integer;
alter table practice add column done integer;
create index practice_kind on practice (kind, played_at desc);
