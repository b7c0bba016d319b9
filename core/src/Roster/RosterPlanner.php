<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/**
 * Plans what a school's files would change. Whom and what the school's system named before is found again by that; else a class is found
 * by its name, and a student by their name in that class where only one goes by it. Nobody leaves because a file does not tell of them,
 * only where it says so. Nobody comes where somebody else goes by their name: with code and PIN it is what one signs in with.
 */
final class RosterPlanner
{
    /** @var array<string, string> ids of students, by what the school's system calls them */
    private array $known;

    /** @var array<string, string> */
    private array $links = [];

    /** @var array<string, string> */
    private array $renames = [];

    /** @var list<LeftAlone> */
    private array $left;

    private function __construct(private readonly SchoolFiles $files, private readonly RosterNow $now)
    {
        $this->known = $now->sources;
        $this->left = $files->left;
    }

    /**
     * @param list<string> $skip      source ids of classes that are left out
     * @param bool         $keepNames known students stay as they are called here
     */
    public static function plan(SchoolFiles $files, RosterNow $now, array $skip = [], bool $keepNames = false): RosterPlan
    {
        $plan = new self($files, $now);
        $classes = $plan->classes();
        $places = $plan->places($classes);
        $gone = $plan->gone();
        $taken = array_diff_key($classes, array_flip($skip));
        foreach ($taken as $id => [, $class]) {
            $plan->link($class, $places[$id]);
        }
        if (!$keepNames) {
            $plan->rename($gone);
        }
        $made = [];
        $planned = [];
        foreach ($classes as $id => [$filed, $class]) {
            $planned[] = isset($taken[$id])
                ? $plan->class((string) $id, $filed, $class, $places[$id], $gone, $made)
                : new PlannedClass((string) $id, $class?->id, $filed->title ?? $class->name ?? '', null, false, [], [], 0);
        }
        usort($plan->left, static fn (LeftAlone $a, LeftAlone $b): int => [$a->file, $a->line] <=> [$b->file, $b->line]);

        return new RosterPlan($planned, $plan->renames, $plan->links, $gone, $plan->left);
    }

    /** @return array<string, array{FiledClass|null, ClassNow|null}> by source id, as filed and as it is */
    private function classes(): array
    {
        $by = $free = $holders = [];
        foreach ($this->now->classes as $class) {
            $title = PersonName::fold($class->name);
            $holders[$title] = $class;
            if ($class->sourceId === null) {
                $free[$title] = $class;
            } else {
                $by[$class->sourceId] = $class;
            }
        }
        $classes = [];
        foreach ($this->files->classes as $id => $filed) {
            $title = PersonName::fold($filed->title);
            $is = $by[$id] ?? $free[$title] ?? null;
            $isTaken = isset($holders[$title]) && $holders[$title] !== $is;
            $why = match (true) {
                $filed->gone && $is === null => 'It is to be removed, and is not here.',
                $filed->gone => 'It is to be removed. A class here stays, with all that was done in it.',
                $isTaken && isset($by[$id]) => sprintf('Stays %s: another class goes by the new name.', $by[$id]->name),
                $isTaken => 'Another class goes by this name.',
                default => null,
            };
            if ($why !== null) {
                $this->left[] = new LeftAlone(SchoolFiles::CLASSES, $filed->line, $filed->title, $why);
            }
            if ($why === null) {
                unset($free[$title]);
                $holders[$title] = $filed;
                $classes[$id] = [$filed, $is];
            } elseif (!$filed->gone && isset($by[$id])) {
                $classes[$id] = [null, $by[$id]];
            }
        }
        foreach ($this->files->places as $place) {
            if (!isset($this->files->classes[$place->class]) && isset($by[$place->class])) {
                $classes[$place->class] = [null, $by[$place->class]];
            }
        }

        return $classes;
    }

    /**
     * @param array<string, mixed> $classes by source id
     *
     * @return array<string, list<FiledPlace>> by the class's source id
     */
    private function places(array $classes): array
    {
        $of = array_fill_keys(array_keys($classes), []);
        $seen = [];
        foreach ($this->files->places as $place) {
            $who = $this->files->people[$place->person] ?? null;
            $why = match (true) {
                !isset($of[$place->class]) => 'Their class is neither here nor taken from the files.',
                $who === null && ($place->teaches || !isset($this->known[$place->person])) => 'They are neither here nor in users.csv.',
                isset($seen[$place->class][$place->person]) => sprintf(
                    'Their place in this class stands in line %d already.',
                    $seen[$place->class][$place->person],
                ),
                $place->teaches && $place->gone => 'Who no longer teaches a class is said here, in the class.',
                $place->teaches && !isset($this->now->staff[$who->email ?? '']) => 'A teacher who is not in this team. Take them in first, by the same e-mail address.',
                default => null,
            };
            if ($why !== null) {
                $this->left[] = new LeftAlone(SchoolFiles::ENROLMENTS, $place->line, $this->nameOf($place->person) ?? $place->person, $why);
                continue;
            }
            $seen[$place->class][$place->person] = $place->line;
            $of[$place->class][] = $place;
        }

        return $of;
    }

    /** @return list<string> ids of known students who leave the school */
    private function gone(): array
    {
        $here = [];
        foreach ($this->now->classes as $class) {
            $here += array_filter($class->students);
        }
        $gone = [];
        foreach ($this->files->people as $sourceId => $who) {
            if ($who->gone && isset($this->known[$sourceId], $here[$this->known[$sourceId]])) {
                $gone[] = $this->known[$sourceId];
            }
        }

        return $gone;
    }

    /**
     * Finds those of a class by their names of whom the school's system had not told before: those who are here first, then who has left.
     *
     * @param list<FiledPlace> $places
     */
    private function link(?ClassNow $class, array $places): void
    {
        $linked = array_flip($this->known);
        foreach ([true, false] as $here) {
            $by = [];
            foreach ($class->students ?? [] as $id => $isHere) {
                if ($isHere === $here && !isset($linked[$id])) {
                    $by[PersonName::fold($this->now->names[$id])][] = $id;
                }
            }
            $new = array_filter($places, fn (FiledPlace $p): bool => !$p->teaches && !isset($this->known[$p->person]));
            $foldedOf = fn (FiledPlace $p): string => PersonName::fold($this->nameOf($p->person) ?? '');
            $wanted = array_count_values(array_map($foldedOf, $new));
            foreach ($new as $place) {
                $name = $foldedOf($place);
                if ($wanted[$name] === 1 && count($by[$name] ?? []) === 1) {
                    $this->known[$place->person] = $by[$name][0];
                    $this->links[$by[$name][0]] = $place->person;
                }
            }
        }
    }

    /** @param list<string> $gone */
    private function rename(array $gone): void
    {
        foreach ($this->files->people as $sourceId => $who) {
            $id = $this->known[$sourceId] ?? null;
            if ($id === null || in_array($id, $gone, true) || ($this->now->names[$id] ?? $who->name) === $who->name) {
                continue;
            }
            $beside = [];
            foreach ($this->now->classes as $class) {
                if ($class->students[$id] ?? false) {
                    $beside += array_filter($class->students);
                }
            }
            unset($beside[$id]);
            $names = array_map(fn (string $other): string => PersonName::fold($this->called($other)), array_keys($beside));
            if (in_array(PersonName::fold($who->name), $names, true)) {
                $this->left[] = new LeftAlone(
                    SchoolFiles::USERS,
                    $who->line,
                    $who->name,
                    sprintf('Stays %s: somebody else in their class goes by the new name.', $this->now->names[$id]),
                );
            } else {
                $this->renames[$id] = $who->name;
            }
        }
    }

    /**
     * @param list<FiledPlace>    $places
     * @param list<string>        $gone
     * @param array<string, true> $made   source ids of students whom a class before this one makes
     */
    private function class(string $sourceId, ?FiledClass $filed, ?ClassNow $class, array $places, array $gone, array &$made): PlannedClass
    {
        $was = $class->students ?? [];
        $names = [];
        $leaving = array_flip($gone);
        foreach ($places as $place) {
            if ($place->gone && !$place->teaches) {
                $leaving[$this->known[$place->person] ?? ''] = true;
            }
        }
        foreach (array_keys(array_diff_key(array_filter($was), $leaving)) as $id) {
            $names[PersonName::fold($this->called($id))] = true;
        }
        $students = $teachers = $told = [];
        foreach ($places as $place) {
            $id = $this->known[$place->person] ?? null;
            $name = $id === null ? $this->nameOf($place->person) ?? '' : $this->called($id);
            if ($place->teaches) {
                $teachers[] = $this->now->staff[$this->files->people[$place->person]->email];
                continue;
            }
            $told[$id ?? ''] = true;
            $here = $id !== null && ($was[$id] ?? false);
            // Who leaves the school is told once, for all classes.
            if (($this->files->people[$place->person]->gone ?? false) || (!$here && $place->gone)) {
                continue;
            }
            $fate = match (true) {
                $place->gone => PlannedStudent::LEAVE,
                $here => PlannedStudent::HERE,
                isset($names[PersonName::fold($name)]) => PlannedStudent::CLASH,
                $id !== null && isset($was[$id]) => PlannedStudent::BACK,
                $id !== null || isset($made[$place->person]) => PlannedStudent::JOIN,
                default => PlannedStudent::ADD,
            };
            if ($fate !== PlannedStudent::LEAVE) {
                $names[PersonName::fold($name)] = true;
            }
            if ($fate === PlannedStudent::ADD) {
                $made[$place->person] = true;
            }
            $students[] = new PlannedStudent($place->person, $id, $name, $fate);
        }
        $title = $filed->title ?? $class->name ?? '';

        return new PlannedClass(
            $sourceId,
            $class?->id,
            $title,
            $class !== null && $class->name !== $title ? $class->name : null,
            true,
            $students,
            array_values(array_unique(array_diff($teachers, $class->teachers ?? []))),
            $places === [] ? 0 : count(array_diff_key(array_filter($was), $told, $leaving)),
        );
    }

    /** What a known student is called afterwards. */
    private function called(string $id): string
    {
        return $this->renames[$id] ?? $this->now->names[$id] ?? '';
    }

    /** What somebody is called in the files, or here. */
    private function nameOf(string $sourceId): ?string
    {
        return $this->files->people[$sourceId]->name ?? $this->now->names[$this->known[$sourceId] ?? ''] ?? null;
    }
}
