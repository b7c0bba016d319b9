<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\PersonName;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Api\Input\GroupInput;
use ChalkLadder\Server\Roster\Entity\Group;
use ChalkLadder\Server\Roster\Entity\SchoolClass;
use ChalkLadder\Server\Roster\Repository\ClassRepository;

/** Lasting parts of a class, made by hand. A student may be in several. */
final readonly class Groups
{
    private const MOST = 60;

    public function __construct(private ClassRepository $classes, private Transaction $transaction)
    {
    }

    public function make(StaffUser $who, string $classId, GroupInput $input): void
    {
        $this->transaction->run(function () use ($who, $classId, $input): void {
            $class = $this->classes->lockedRoster($who->teamId, $classId);
            if (count($class->groups()) >= self::MOST) {
                throw Problem::invalid(['name' => sprintf('A class has at most %d groups.', self::MOST)]);
            }
            $class->addGroup(self::freeName($class, null, $input), self::members($class, $input, []));
        });
    }

    public function change(StaffUser $who, string $classId, string $groupId, GroupInput $input): void
    {
        $this->transaction->run(function () use ($who, $classId, $groupId, $input): void {
            $class = $this->classes->lockedRoster($who->teamId, $classId);
            $group = $class->group($groupId) ?? throw Problem::notFound('The group');
            $group->change(self::freeName($class, $group, $input), self::members($class, $input, $group->students()));
        });
    }

    public function drop(StaffUser $who, string $classId, string $groupId): void
    {
        $this->transaction->run(function () use ($who, $classId, $groupId): void {
            $class = $this->classes->lockedRoster($who->teamId, $classId);
            $class->dropGroup($class->group($groupId) ?? throw Problem::notFound('The group'));
        });
    }

    private static function freeName(SchoolClass $class, ?Group $group, GroupInput $input): string
    {
        $name = PersonName::tidy($input->name);
        if ($class->hasGroupNamed($name, $group)) {
            throw Problem::invalid(['name' => sprintf('This class has a group called “%s” already.', $name)]);
        }

        return $name;
    }

    /**
     * @param list<string> $before
     *
     * @return list<string> those who were chosen, and those of before who have left the class: they have their place when they come back
     */
    private static function members(SchoolClass $class, GroupInput $input, array $before): array
    {
        $chosen = array_values(array_unique(array_map(strtolower(...), $input->students)));
        foreach ($chosen as $id) {
            if ($class->student($id) === null) {
                throw Problem::invalid(['students' => 'One of these students is not in the class.']);
            }
        }
        $away = array_filter($before, static fn (string $id): bool => $class->student($id) === null);

        return [...$chosen, ...array_values($away)];
    }
}
