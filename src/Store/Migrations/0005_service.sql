-- A service is begun once and then only gets events: what is true now is worked out from them.
create table service (
    id text primary key,
    name text not null,
    body text not null,
    opened_at text not null,
    closed_at text
) strict;
create index service_open on service (opened_at desc) where closed_at is null;
create table service_event (
    service_id text not null references service (id),
    id text not null,
    number integer not null,
    body text not null,
    primary key (service_id, id),
    unique (service_id, number)
) strict;
