-- What the shelf shows of a version of a bread, worked out with one larder by one build of the program. Whatever is missing is worked out again.
create table glance (
  bread text not null,
  worked_with text not null,
  body text not null,
  primary key (bread, worked_with)
) strict, without rowid;
