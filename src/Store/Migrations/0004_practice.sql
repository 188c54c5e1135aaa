-- Rounds of practice at the pan: the seed draws the pan, bread and flame again, the turns tell the rest.
create table practice (
    id text primary key,
    seed integer not null,
    played_at text not null,
    score integer not null check (score between 0 and 100),
    turns text not null,
    lift integer not null
);
create index practice_played on practice (played_at desc);
