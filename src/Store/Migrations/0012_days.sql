-- What was said of one day: hands and pans there are, and what is at hand. The batches of a day are found by their tables.
create table day (
    day text primary key,
    body text not null,
    changed_at text not null
) without rowid;
create index batch_made_for on batch (made_for);
