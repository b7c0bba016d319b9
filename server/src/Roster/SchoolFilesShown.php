<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\LeftAlone;
use ChalkLadder\Core\Roster\PlannedClass;
use ChalkLadder\Core\Roster\PlannedStudent;
use ChalkLadder\Core\Roster\RosterNow;
use ChalkLadder\Core\Roster\RosterPlan;
use ChalkLadder\Core\Roster\SchoolFiles;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Roster\Api\View\FiledClassView;
use ChalkLadder\Server\Roster\Api\View\FiledNameView;
use ChalkLadder\Server\Roster\Api\View\FiledStudentView;
use ChalkLadder\Server\Roster\Api\View\LeftAloneView;
use ChalkLadder\Server\Roster\Api\View\SchoolFilesView;

/** What a school's files would change, as a teacher reads it before it is done. */
final readonly class SchoolFilesShown
{
    private const MOST_LEFT = 200;

    public function __construct(private Staff $staff)
    {
    }

    /** @param list<string> $others names of files that are not read */
    public function view(string $teamId, SchoolFiles $files, RosterPlan $plan, RosterNow $now, array $others): SchoolFilesView
    {
        $teachers = array_column($this->staff->teachers($teamId), 'name', 'id');
        $classes = array_map(static fn (PlannedClass $class): FiledClassView => self::ofClass($class, $teachers), $plan->classes);

        return new SchoolFilesView(
            $classes,
            array_map(
                static fn (string $id, string $name): FiledNameView => new FiledNameView($now->names[$id], $name),
                array_keys($plan->renames),
                $plan->renames,
            ),
            array_map(static fn (string $id): string => $now->names[$id], $plan->gone),
            array_map(
                static fn (LeftAlone $l): LeftAloneView => new LeftAloneView($l->file, $l->line, $l->what, $l->why),
                array_slice($plan->left, 0, self::MOST_LEFT),
            ),
            count($plan->left),
            $files->faults,
            $others,
            count($plan->renames) + count($plan->gone) + array_sum(array_map(self::changes(...), $classes)),
        );
    }

    /** @param array<string, string> $teachers names of staff, by id */
    private static function ofClass(PlannedClass $class, array $teachers): FiledClassView
    {
        $changed = array_filter($class->students, static fn (PlannedStudent $s): bool => $s->fate !== PlannedStudent::HERE);

        return new FiledClassView(
            $class->sourceId,
            $class->id !== null,
            $class->name,
            $class->was,
            $class->taken,
            array_values(array_map(static fn (PlannedStudent $s): FiledStudentView => new FiledStudentView($s->name, $s->fate), $changed)),
            count($class->students) - count($changed),
            $class->others,
            array_map(static fn (string $id): string => $teachers[$id] ?? '', $class->teachers),
        );
    }

    private static function changes(FiledClassView $class): int
    {
        return $class->taken
            ? ($class->known ? 0 : 1) + ($class->was === null ? 0 : 1) + count($class->teachers)
                + count(array_filter($class->students, static fn (FiledStudentView $s): bool => $s->fate !== PlannedStudent::CLASH))
            : 0;
    }
}
