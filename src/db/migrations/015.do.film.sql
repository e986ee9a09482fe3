-- A wax, an oil, a clear and a wash are thin by nature: that is their usual film, and their windows are told for it. What was
-- planned as thinner than usual by mistake dries by its label again. What was logged stays as it was logged.
update step s set film = 'normal'
 where film = 'thin'
   and not (operation = 'coat' and exists (select from part p join plan l on l.part_id = p.id where l.id = s.plan_id and p.substrate = 'leather'));
