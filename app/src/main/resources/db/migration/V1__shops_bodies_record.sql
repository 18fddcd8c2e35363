-- Every row belongs to a shop; keys are (shop, id). The app's user gets only what each table allows: what was done and
-- measured, and every revision of a design, can be added and read but never changed or taken out.

create table shop (
    id bigint not null auto_increment primary key,
    name varchar(80) not null,
    made_at timestamp(3) not null default current_timestamp(3)
);

create table maker (
    shop bigint not null,
    id bigint not null auto_increment unique,
    name varchar(60) not null unique,
    password varchar(200) not null,
    unit enum ('MILLIMETRE', 'INCH') not null default 'MILLIMETRE',
    primary key (shop, id),
    foreign key (shop) references shop (id)
);

create table body (
    shop bigint not null,
    id bigint not null auto_increment unique,
    public_id char(16) character set ascii not null unique,
    number int not null,
    primary key (shop, id),
    unique (shop, number),
    foreign key (shop) references shop (id)
);

create table revision (
    shop bigint not null,
    body bigint not null,
    number int not null,
    based_on int null,
    -- the build file without what was done; read through upcasters, never rewritten
    file json not null check (json_valid(file)),
    note varchar(200) not null default '',
    made_by varchar(60) not null,
    made_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, body, number),
    foreign key (shop, body) references body (shop, id)
);

create table entry (
    shop bigint not null,
    id bigint not null auto_increment unique,
    body bigint not null,
    -- made by whoever enters it: a repeat gets the first answer
    client_id varchar(120) character set utf8mb4 collate utf8mb4_nopad_bin not null,
    entry json not null check (json_valid(entry)),
    logged_at timestamp(3) not null default current_timestamp(3),
    primary key (shop, id),
    unique (shop, client_id),
    foreign key (shop, body) references body (shop, id)
);

grant select, insert on shop to '${appUser}'@'127.0.0.1';
grant select, insert, update (unit) on maker to '${appUser}'@'127.0.0.1';
grant select, insert on body to '${appUser}'@'127.0.0.1';
grant select, insert on revision to '${appUser}'@'127.0.0.1';
grant select, insert on entry to '${appUser}'@'127.0.0.1';

-- Sign-ins survive a restart: Spring Session's tables, as its documentation gives them for this database.
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
    foreign key (session_primary_id) references SPRING_SESSION (primary_id) on delete cascade
);

grant select, insert, update, delete on SPRING_SESSION to '${appUser}'@'127.0.0.1';
grant select, insert, update, delete on SPRING_SESSION_ATTRIBUTES to '${appUser}'@'127.0.0.1';
