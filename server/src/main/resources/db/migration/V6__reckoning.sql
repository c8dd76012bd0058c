-- The pass that brings all live layers up to changed master data, where they are too many for one transaction: in the
-- order of their ids, a step at a time, resumed after a restart. A change that comes meanwhile begins it anew.
create table reckoning (
    id int primary key,
    next_id bigint not null,
    done int not null,
    total int not null,
    running boolean not null
);
insert into reckoning values (1, 0, 0, 0, false);
