-- Tries at the door, counted in one place for all that serve: whose name, whose device or which address, since when, how often.
create table sign_in_try (
    tried varchar(100) character set ascii collate ascii_bin not null primary key,
    began bigint not null,
    tries int not null
);

-- Devices on which a maker has signed in before; only the hash of what the device keeps.
create table known_device (
    shop bigint not null,
    maker bigint not null,
    device char(64) character set ascii collate ascii_bin not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, maker, device),
    foreign key (shop, maker) references maker (shop, id)
);

grant select, insert, update, delete on sign_in_try to '${appUser}'@'127.0.0.1';
grant select, insert on known_device to '${appUser}'@'127.0.0.1';
