/** Counts what was kept, so that a list on the screen knows when to ask again. */
class Changes {
  shelf = $state(0);
  practice = $state(0);
}

export const changes = new Changes();
