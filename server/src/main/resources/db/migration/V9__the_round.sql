-- What others have recorded since a moment: phones ask for it every few seconds.
alter table layer_event
    add index layer_event_recorded (recorded_at),
    add index layer_event_day (on_date),
    add fulltext index layer_event_words (note);

-- What a walk is planned from, out of one index: in a large nursery that is some thousand layers at every look at it.
alter table layer
    add index layer_walk (phase, job_by, code, mother_id, method, job, job_from, also_do);

-- The list of all layers by what is due, page by page: what has no job stands at the end.
alter table layer
    add column due_on date as (coalesce(job_by, date '9999-12-31')) stored,
    add index layer_due (due_on, id),
    add index layer_due_in_phase (phase, due_on, id);

-- A way of looking at all layers, under a name: the filters as they stand in the address.
create table saved_filter (
    id bigint not null auto_increment primary key,
    person_id bigint not null,
    name varchar(60) not null,
    query varchar(1000) not null,
    constraint saved_filter_person foreign key (person_id) references person (id),
    constraint saved_filter_name unique (person_id, name)
);

-- A picture lies in the data folder under its hash; the row says of which layer it is, and with which record it came.
create table layer_photo (
    id bigint not null auto_increment primary key,
    uuid char(36) character set ascii not null,
    layer_id bigint not null,
    record_uuid char(36) character set ascii,
    sha256 char(64) character set ascii not null,
    width int not null,
    height int not null,
    bytes int not null,
    occurred_at datetime(6) not null,
    recorded_at datetime(6) not null,
    person_id bigint not null,
    withdrawn_at datetime(6),
    constraint layer_photo_uuid unique (uuid),
    constraint layer_photo_layer foreign key (layer_id) references layer (id),
    constraint layer_photo_person foreign key (person_id) references person (id)
);
