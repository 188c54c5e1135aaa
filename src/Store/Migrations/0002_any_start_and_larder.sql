-- A batch can start from any figure, a dough has liquids and amounts of its own, and rests first.
create temp view old_bread as select id, spec from bread where json_type(spec, '$.start') is null;
create temp view old_batch as select id, spec from batch where json_type(spec, '$.start') is null;
create temp view old_log as select id, spec from log_entry where json_type(spec, '$.start') is null;

create temp table renewed as
select id, json_set(
    spec,
    '$.start', json_object(
        'by', 'pieces', 'pieces', spec ->> '$.dough.pieces', 'flour', 1000, 'liquid', 600, 'filling', 800, 'fillingEach', 60,
        'people', max(spec ->> '$.dough.pieces' / 2, 1), 'each', 2),
    '$.rest', json_object('time', 30, 'place', 'room', 'air', 'normal', 'covered', json('true'), 'oiled', json('false')),
    '$.ladle', json_object('volume', 80, 'thickness', 2.5),
    '$.dough', json_object(
        'flours', spec -> '$.dough.flours',
        'feel', spec ->> '$.dough.feel',
        'waterBy', 'hydration',
        'hydration', spec ->> '$.dough.hydration',
        'liquids', json_array(json_object('id', spec ->> '$.dough.liquid', 'amount', json_object('by', 'rest', 'share', 0, 'mass', 0))),
        'fat', json_object('id', spec ->> '$.dough.fat', 'amount', json_object('by', 'share', 'share', spec ->> '$.dough.fatShare', 'mass', 0), 'when', 'rubbedIn'),
        'salt', json_object('id', 'salt-fine', 'amount', json_object('by', 'share', 'share', spec ->> '$.dough.salt', 'mass', 0)),
        'additions', (
            select json_group_array(json_object('id', a.value ->> '$.id', 'amount', json_object('by', 'share', 'share', a.value ->> '$.share', 'mass', 0)))
            from json_each(spec, '$.dough.additions') a),
        'mix', json_object('kneading', 'full'))) spec
from (select id, spec from old_bread union all select id, spec from old_batch union all select id, spec from old_log);

update bread set spec = (select r.spec from renewed r where r.id = bread.id) where id in (select id from old_bread);
update batch set spec = (select r.spec from renewed r where r.id = batch.id) where id in (select id from old_batch);
update log_entry set spec = (select r.spec from renewed r where r.id = log_entry.id) where id in (select id from old_log);

drop table renewed;
drop view old_bread;
drop view old_batch;
drop view old_log;

alter table bread add column tags text not null default '[]';

-- What the cook put right or added; what is shipped and untouched is not here. An own line that is deleted still plans.
create table larder_item (
  id text primary key,
  body text not null,
  changed_at text not null,
  deleted_at text
) strict;

create table vessel (
  id text primary key,
  name text not null,
  volume_ml real not null,
  changed_at text not null,
  deleted_at text
) strict;

-- One row: what the kitchen reads and writes in.
create table units (
  id integer primary key check (id = 1),
  body text not null
) strict;
