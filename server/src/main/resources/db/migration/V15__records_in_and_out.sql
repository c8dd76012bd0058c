-- files that are being taken in, and how the columns of files like them were read before
create table import_file (
    id char(36) character set ascii primary key,
    person_id bigint not null,
    name varchar(200) not null,
    nursery boolean not null,
    bytes bigint not null,
    made_at datetime(6) not null,
    state varchar(12) not null,
    done bigint not null,
    cancelled boolean not null,
    head longtext not null check (json_valid(head)),
    mapping longtext check (json_valid(mapping)),
    outcome longtext check (json_valid(outcome)),
    constraint import_file_state check (state in ('HERE', 'LOOKING', 'LOOKED', 'TAKING', 'TAKEN', 'FAILED')),
    constraint import_file_person foreign key (person_id) references person (id) on delete cascade
);

create table import_mapping (
    header_hash char(64) character set ascii primary key,
    mapping longtext not null check (json_valid(mapping)),
    used_at datetime(6) not null
);

-- the journal is append-only but for one thing: a whole nursery that is put in the place of this one
drop trigger layer_event_no_delete;
create trigger layer_event_no_delete before delete on layer_event for each row
begin
    if @kg_replaces_nursery is null then
        signal sqlstate '45000' set message_text = 'the journal is append-only: correct a record with another';
    end if;
end;
drop trigger mother_event_no_delete;
create trigger mother_event_no_delete before delete on mother_event for each row
begin
    if @kg_replaces_nursery is null then
        signal sqlstate '45000' set message_text = 'the history of a mother is append-only';
    end if;
end;
