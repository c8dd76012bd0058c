-- The secret address of a person's calendar, hashed: whoever reads the table can't read the calendar.
create table calendar_address (
    person_id bigint primary key,
    token_hash char(64) character set ascii not null,
    made_on date not null,
    constraint calendar_address_token unique (token_hash),
    constraint calendar_address_person foreign key (person_id) references person (id)
);

-- What calendars were told: an entry that changes goes out again with a higher sequence, one that is gone is cancelled.
create table calendar_entry (
    uid varchar(80) character set ascii primary key,
    from_day date not null,
    to_day date not null,
    summary varchar(200) not null,
    description text not null,
    sequence int not null,
    changed_at datetime(6) not null,
    cancelled boolean not null
);
