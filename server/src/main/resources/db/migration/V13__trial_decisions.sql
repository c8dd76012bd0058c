-- What was decided on a trial: the arm that is done from then on, by whom and why.
alter table trial
    add column decided_arm int,
    add column decided_by varchar(80),
    add column decided_on date,
    add column decided_note varchar(300);
