-- When a species was seen to leaf out and to drop its leaves at a place: the newest of each that stands overrules what is
-- expected by the normals. A row is never changed but to be taken back.
create table leaf_record (
    id bigint auto_increment primary key,
    place_id bigint not null,
    species_code varchar(12) not null,
    kind varchar(12) not null,
    seen_on date not null,
    made_by varchar(80) not null,
    made_on date not null,
    taken_back_on date,
    constraint leaf_record_kind check (kind in ('LEAF_OUT', 'LEAF_FALL')),
    constraint leaf_record_place foreign key (place_id) references place (id),
    constraint leaf_record_species foreign key (species_code) references species (code)
);
