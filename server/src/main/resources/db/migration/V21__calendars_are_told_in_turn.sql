-- One row that whoever reads a calendar holds alone while what calendars were told is brought up to date: several that
-- are read at the same moment would otherwise wait for one another's entries in a circle.
create table calendar_lock (
    id int primary key
);
insert into calendar_lock values (1);
