-- A service that has ended takes no more events: they lie in one row, in their order. One that runs has those after them appended one by one.
alter table service add column events text not null default '[]';
update service set events = (
  select json_group_array(json(e.body)) from (select body from service_event where service_id = service.id order by number) e)
where closed_at is not null;
delete from service_event where service_id in (select id from service where closed_at is not null);

-- By batch, whether in the trash or not.
drop index log_entry_by_batch;
create index log_entry_by_batch on log_entry (batch_id, id);
