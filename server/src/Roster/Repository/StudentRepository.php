<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Roster\Entity\Student;

/** @extends Repository<Student> */
final readonly class StudentRepository extends Repository
{
    protected function kind(): string
    {
        return Student::class;
    }
}
