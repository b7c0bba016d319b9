<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Entity;

use ChalkLadder\Server\Platform\Storage\Id;
use Doctrine\ORM\Mapping as ORM;

/** A lasting part of a class, put together by hand. Whoever leaves the class has their place in it again when they come back. */
#[ORM\Entity]
#[ORM\Table(name: 'class_group')]
class Group
{
    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    /** @param list<string> $students ids */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'groups')]
        #[ORM\JoinColumn(name: 'class_id', nullable: false)]
        protected SchoolClass $class,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'uuid_list')]
        protected array $students,
    ) {
        $this->id = Id::fresh();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return list<string> ids, of some who have left as well */
    public function students(): array
    {
        return $this->students;
    }

    /** @param list<string> $students ids */
    public function change(string $name, array $students): void
    {
        $this->name = $name;
        $this->students = $students;
    }
}
