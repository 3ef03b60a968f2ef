import type { Library } from '@myokinet/core/library';

/** The name of a drill, or its id where nobody knows it any more. */
export const drillNameIn = (library: Library, id: string): string => (library.hasDrill(id) ? library.drill(id).name : id);
