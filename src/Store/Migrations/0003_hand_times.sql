-- What the cook has timed of the own hands, by kind of work; the usual time counts where there is no row.
create table hand_time (
  work text primary key,
  seconds real not null,
  changed_at text not null
) strict;
