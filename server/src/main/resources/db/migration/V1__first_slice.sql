-- Master data is guarded by "version"; recipes, species profiles and house rules are besides kept as immutable numbered
-- versions, so that an old verdict can be read as it was given. Instants are UTC, dates in the site's zone, quantities SI.

create table person (
    id bigint auto_increment primary key,
    name varchar(40) not null,
    full_name varchar(80) not null,
    password_hash varchar(200) not null,
    role varchar(10) not null,
    units varchar(10) not null,
    version bigint not null,
    constraint person_name unique (name),
    constraint person_role check (role in ('OWNER', 'GROWER', 'VIEWER')),
    constraint person_units check (units in ('METRIC', 'US'))
);

-- Who failed to sign in, from where; counted by the system clock, never by the demo clock.
create table sign_in_failure (
    id bigint auto_increment primary key,
    name varchar(40) not null,
    address varchar(60) not null,
    at datetime(6) not null,
    index sign_in_failure_name (name, at),
    index sign_in_failure_address (address, at)
);

create table first_owner_link (
    id int primary key,
    token_hash char(64) not null
);

create table SPRING_SESSION (
    primary_id char(36) not null primary key,
    session_id char(36) not null,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100),
    unique index spring_session_ix1 (session_id),
    index spring_session_ix2 (expiry_time),
    index spring_session_ix3 (principal_name)
);

create table SPRING_SESSION_ATTRIBUTES (
    session_primary_id char(36) not null,
    attribute_name varchar(200) not null,
    attribute_bytes blob not null,
    primary key (session_primary_id, attribute_name),
    constraint spring_session_attributes_fk foreign key (session_primary_id)
        references SPRING_SESSION (primary_id) on delete cascade
);

-- One row a command that a client sent, under its own UUID: a repeat finds the stored answer.
create table command (
    id char(36) character set ascii primary key,
    person_id bigint not null,
    kind varchar(80) not null,
    body_hash char(64) not null,
    response longtext not null check (json_valid(response)),
    created_at datetime(6) not null
);

create table site (
    id int primary key,
    name varchar(80) not null,
    latitude double not null,
    zone varchar(40) not null,
    min_c longtext not null check (json_valid(min_c)),
    max_c longtext not null check (json_valid(max_c)),
    frost_free boolean not null,
    first_frost_average char(5),
    first_frost_early char(5),
    last_frost_average char(5),
    last_frost_late char(5),
    winter_low_c double not null,
    round_days varchar(80) not null,
    round_minutes int not null,
    version bigint not null
);

create table place (
    id bigint auto_increment primary key,
    name varchar(60) not null,
    walking_order int not null,
    exposure varchar(10) not null,
    min_shift_c double not null,
    max_shift_c double not null,
    vpd_factor double not null,
    frosts varchar(10) not null,
    first_frost_average char(5),
    first_frost_early char(5),
    last_frost_average char(5),
    last_frost_late char(5),
    winter_low_c double not null,
    version bigint not null,
    constraint place_name unique (name),
    constraint place_frosts check (frosts in ('SITE', 'NONE', 'OWN'))
);

create table species (
    code varchar(12) primary key,
    profile_number int not null,
    version bigint not null
);

create table species_profile (
    species_code varchar(12) not null,
    number int not null,
    profile longtext not null check (json_valid(profile)),
    made_by varchar(40) not null,
    made_at datetime(6) not null,
    primary key (species_code, number),
    constraint species_profile_species foreign key (species_code) references species (code)
);

create table house_rules (
    number int primary key,
    rules longtext not null check (json_valid(rules)),
    made_by varchar(40) not null,
    made_at datetime(6) not null
);

create table recipe (
    id bigint auto_increment primary key,
    name varchar(60) not null,
    school varchar(10) not null,
    recipe_number int not null,
    version bigint not null,
    constraint recipe_name unique (name)
);

create table recipe_version (
    recipe_id bigint not null,
    number int not null,
    recipe longtext not null check (json_valid(recipe)),
    made_by varchar(40) not null,
    made_at datetime(6) not null,
    primary key (recipe_id, number),
    constraint recipe_version_recipe foreign key (recipe_id) references recipe (id)
);

create table mother (
    id bigint auto_increment primary key,
    code varchar(20) not null,
    species_code varchar(12) not null,
    variety varchar(60) not null,
    place_id bigint not null,
    root_run varchar(10) not null,
    vigour varchar(10) not null,
    sick boolean not null,
    rights varchar(12) not null,
    leafy_shoots int not null,
    note varchar(500) not null,
    version bigint not null,
    constraint mother_code unique (code),
    constraint mother_rights check (rights in ('FREE', 'PERMITTED', 'PROTECTED')),
    constraint mother_species foreign key (species_code) references species (code),
    constraint mother_place foreign key (place_id) references place (id)
);

create sequence layer_seq increment by 50;
create sequence layer_event_seq increment by 50;

-- Identity, and the projection that the core makes from the journal. "revision" counts the events.
create table layer (
    id bigint primary key,
    number int not null,
    code varchar(8) not null,
    batch_id char(36) character set ascii not null,
    mother_id bigint not null,
    recipe_id bigint not null,
    recipe_number int not null,
    set_on date not null,
    revision int not null,
    phase varchar(12) not null,
    stage varchar(10) not null,
    fill_percent double not null,
    step varchar(20),
    also_do varchar(200) not null,
    ready10_on date,
    ready50_on date,
    ready90_on date,
    job varchar(20),
    job_from date,
    job_by date,
    rung varchar(10),
    conflicts int not null,
    profile_number int not null,
    rules_number int not null,
    as_of date not null,
    constraint layer_number unique (number),
    constraint layer_code unique (code),
    constraint layer_mother foreign key (mother_id) references mother (id),
    constraint layer_recipe foreign key (recipe_id, recipe_number) references recipe_version (recipe_id, number),
    index layer_job (phase, job_by),
    index layer_set_on (set_on)
);

-- Append-only: rows are never updated or deleted; the triggers hold it.
create table layer_event (
    id bigint primary key,
    uuid char(36) character set ascii not null,
    layer_id bigint not null,
    kind varchar(20) not null,
    on_date date not null,
    occurred_at datetime(6) not null,
    recorded_at datetime(6) not null,
    clock_offset_days int not null,
    person_id bigint not null,
    corrects char(36) character set ascii,
    details longtext not null check (json_valid(details)),
    note varchar(1000) not null,
    verdict longtext check (json_valid(verdict)),
    constraint layer_event_uuid unique (uuid),
    constraint layer_event_layer foreign key (layer_id) references layer (id),
    constraint layer_event_person foreign key (person_id) references person (id),
    index layer_event_journal (layer_id, occurred_at)
);

create trigger layer_event_no_update before update on layer_event for each row
    signal sqlstate '45000' set message_text = 'the journal is append-only: correct a record with another';
create trigger layer_event_no_delete before delete on layer_event for each row
    signal sqlstate '45000' set message_text = 'the journal is append-only: correct a record with another';

-- The number of the next layer; the day that all projections stand at; the demo's clock.
create table counter (
    name varchar(20) primary key,
    next_value int not null
);
insert into counter values ('layer', 0);

create table day_turn (
    id int primary key,
    as_of date not null
);

create table demo_clock (
    id int primary key,
    today date not null
);
