-- Somebody who has left signs in no more; their records keep the name.
alter table person add column disabled_at datetime(6);

-- What concerns who may do what: append-only, for owners to read. Names are copied, so that it outlives whoever it is about.
create table security_event (
    id bigint auto_increment primary key,
    at datetime(6) not null,
    kind varchar(30) not null,
    person_name varchar(40) not null,
    address varchar(60) not null,
    detail varchar(300) not null,
    index security_event_at (at)
);
create trigger security_event_no_update before update on security_event for each row
    signal sqlstate '45000' set message_text = 'security_event is append-only';

-- Devices from which somebody has signed in before: guesses made elsewhere never lock them out. Only a hash is kept.
create table known_device (
    id bigint auto_increment primary key,
    person_id bigint not null,
    token_hash char(64) character set ascii not null,
    last_used datetime(6) not null,
    index known_device_last_used (last_used),
    constraint known_device_token unique (token_hash, person_id),
    constraint known_device_person foreign key (person_id) references person (id)
);

-- A try counts from the moment at which it is made, so that many at once can't slip through together.
alter table sign_in_failure add column device char(64) character set ascii not null default '';
alter table sign_in_failure add index sign_in_failure_at (at);

-- Who took a picture away.
alter table layer_photo add column withdrawn_by bigint;
alter table layer_photo add constraint layer_photo_withdrawn_by foreign key (withdrawn_by) references person (id);

-- What a measured day was before somebody put other figures in its place.
create table weather_change (
    id bigint auto_increment primary key,
    day date not null,
    min_c double not null,
    max_c double not null,
    wind_ms double,
    rain_mm double,
    source varchar(10) not null,
    recorded_by varchar(40) not null,
    recorded_at datetime(6) not null,
    replaced_by varchar(40) not null,
    replaced_at datetime(6) not null,
    index weather_change_day (day)
);

-- What a layer's row was reckoned from, beside its journal: site, place, mother, weather and all versions. A finished layer
-- whose inputs have changed since keeps its figures; null for rows of before, of which nobody knows.
alter table layer add column reckoned_from varchar(250);
