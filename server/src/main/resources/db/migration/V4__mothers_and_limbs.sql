-- What else is known of a mother. One that is retired, or turned out to be the same plant as another, keeps its row.
alter table mother add column planted_year int;
alter table mother add column to_be_cut_down boolean not null default false;
alter table mother add column permission varchar(200) not null default '';
alter table mother add column retired_on date;
alter table mother add column merged_into bigint;
alter table mother add constraint mother_merged_into foreign key (merged_into) references mother (id);

-- A limb that is gone keeps its row, for the layers that came from it.
create table limb (
    id bigint auto_increment primary key,
    mother_id bigint not null,
    name varchar(60) not null,
    diameter_mm double not null,
    wood varchar(12) not null,
    lean_deg double not null,
    length_mm double not null,
    nodes int not null,
    leaves int not null,
    to_be_pruned boolean not null,
    shoot_below boolean not null,
    note varchar(500) not null,
    measured_on date not null,
    gone_on date,
    version bigint not null,
    constraint limb_name unique (mother_id, name),
    constraint limb_mother foreign key (mother_id) references mother (id)
);

-- The limb that a layer stands on, if it was said; and the mother that it was set on, whatever that turned out to be.
alter table layer add column limb_id bigint;
alter table layer add constraint layer_limb foreign key (limb_id) references limb (id);
alter table layer add column set_mother_id bigint;
update layer set set_mother_id = mother_id;
alter table layer modify column set_mother_id bigint not null;
alter table layer add constraint layer_set_mother foreign key (set_mother_id) references mother (id);

-- What was changed on a mother, by whom and why. Append-only.
create table mother_event (
    id bigint auto_increment primary key,
    mother_id bigint not null,
    kind varchar(12) not null,
    on_date date not null,
    recorded_at datetime(6) not null,
    recorded_by varchar(40) not null,
    changes longtext not null check (json_valid(changes)),
    reason varchar(500) not null,
    constraint mother_event_kind
        check (kind in ('ADDED', 'EDITED', 'RELABELLED', 'RETIRED', 'RETURNED', 'MERGED', 'TOOK_IN')),
    constraint mother_event_mother foreign key (mother_id) references mother (id),
    index mother_event_history (mother_id, id)
);
create trigger mother_event_no_update before update on mother_event for each row
    signal sqlstate '45000' set message_text = 'the history of a mother is append-only';
create trigger mother_event_no_delete before delete on mother_event for each row
    signal sqlstate '45000' set message_text = 'the history of a mother is append-only';
