-- How far every body of a shop has come, what it is called and who logged anything: each said once a row is added, so that a page over
-- five hundred bodies does not count their entries and open their files anew. Kept by the database alone; the app reads.

create table how_far (
    shop bigint not null,
    body bigint not null,
    revision int not null,
    name text not null,
    entries int not null,
    primary key (shop, body),
    foreign key (shop, body) references body (shop, id)
);

-- Its shop is that of the entry. No foreign key: it would have every entry wait for the shop's row, which is the queue for what happens
-- once (BodyStore.queue), while whoever stands there waits for the body's count.
create table hand (
    shop bigint not null,
    name varchar(120) character set utf8mb4 collate utf8mb4_nopad_bin not null,
    primary key (shop, name)
);

insert into how_far (shop, body, revision, name, entries)
select r.shop, r.body, r.number, coalesce(json_value(r.file, '$.design.name'), ''),
    (select count(*) from entry e where e.shop = r.shop and e.body = r.body)
from revision r
where r.number = (select max(n.number) from revision n where n.shop = r.shop and n.body = r.body);

insert into hand (shop, name) select distinct shop, hand from entry where hand > '';

create trigger revision_counts after insert on revision for each row
    insert into how_far (shop, body, revision, name, entries)
    values (new.shop, new.body, new.number, coalesce(json_value(new.file, '$.design.name'), ''), 0)
    on duplicate key update
        name = if(new.number > revision, coalesce(json_value(new.file, '$.design.name'), ''), name),
        revision = greatest(revision, new.number);

create trigger entry_counts after insert on entry for each row
    update how_far set entries = entries + 1 where shop = new.shop and body = new.body;

create trigger entry_has_a_hand after insert on entry for each row
    insert ignore into hand (shop, name)
    select new.shop, json_value(new.entry, '$.by') where json_value(new.entry, '$.by') > '';

grant select on how_far to '${appUser}'@'127.0.0.1';
grant select on hand to '${appUser}'@'127.0.0.1';
