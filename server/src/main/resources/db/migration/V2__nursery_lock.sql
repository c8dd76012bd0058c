-- One row that whoever writes a record holds shared, and whoever changes what all records are reckoned from holds alone:
-- no projection can be made from master data that are being changed. The edition is a new UUID with every change, so
-- that what was read once need not be read again until then.
create table nursery_lock (
    id int primary key,
    edition char(36) character set ascii not null
);
insert into nursery_lock values (1, uuid());
