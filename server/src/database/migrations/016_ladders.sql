-- The ladder of grip lifts and overhead loads became two. Whoever aims at it goes on with the grip lifts, unless the studio has a ladder
-- of its own under that name; what was signed stays as it was signed, and the new ladders say where it counts.
UPDATE trainee_revision SET ladder_id = 'heavy-grip'
WHERE ladder_id = 'grip-and-overhead'
  AND NOT EXISTS (
    SELECT 1
    FROM trainee t
    JOIN library_entry e ON e.studio_id = t.studio_id
    WHERE t.id = trainee_revision.trainee_id AND e.kind = 'ladder' AND e.entry_id = 'grip-and-overhead'
  );
