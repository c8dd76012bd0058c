-- Whether the dates of a species rest on what its own records taught, or on its profile. The newest row counts; one
-- without figures goes back to the profile. Nothing is ever overwritten, so that an old date can be understood.
create table learned_time (
    id bigint auto_increment primary key,
    species_code varchar(12) not null,
    d50_thermal_days double,
    sigma double,
    records int not null,
    made_by varchar(60) not null,
    made_on date not null,
    constraint learned_time_species foreign key (species_code) references species (code),
    index learned_time_newest (species_code, id)
);
