<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\Input;

use ChalkLadder\Core\Grouping\Plan;
use Symfony\Component\Validator\Constraints as Assert;

/** What groups are asked for. Students are named by their ids. */
final readonly class PlanInput
{
    /**
     * @param int                $groups   how many
     * @param int                $most     students in a group; 0: no bound
     * @param list<list<string>> $apart    pairs who are not to share a group
     * @param list<list<string>> $together sets who are
     * @param bool               $classes  whether each group holds the classes like the whole
     * @param array<string, int> $fixed    group, from 0, by student: what a person has settled
     * @param string             $class    name of the class whose students are grouped, or ''
     * @param string|null        $consider a student, all being fixed: what if they were elsewhere?
     */
    public function __construct(
        #[Assert\Choice(Plan::AIMS)]
        public string $aim = Plan::ALIKE,
        #[Assert\Range(min: 1, max: 100)]
        public int $groups = 4,
        #[Assert\Range(min: 1, max: 500)]
        public int $least = 1,
        #[Assert\Range(min: 0, max: 500)]
        public int $most = 0,
        #[Assert\Count(max: 200)]
        #[Assert\All([
            new Assert\NotNull(),
            new Assert\Type('array'),
            new Assert\Count(exactly: 2),
            new Assert\Unique(),
            new Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()]),
        ])]
        public array $apart = [],
        #[Assert\Count(max: 100)]
        #[Assert\All([
            new Assert\NotNull(),
            new Assert\Type('array'),
            new Assert\Count(min: 2, max: 500),
            new Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()]),
        ])]
        public array $together = [],
        public bool $classes = false,
        #[Assert\Count(max: 1000)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('int'), new Assert\Range(min: 0, max: 99)])]
        public array $fixed = [],
        #[Assert\Length(max: 120)]
        public string $class = '',
        #[Assert\Uuid()]
        public ?string $consider = null,
    ) {
    }

    public function plan(): Plan
    {
        $pairs = [];
        foreach ($this->apart as $pair) {
            $pairs[] = [$pair[0], $pair[1]];
        }

        return new Plan(
            $this->groups,
            $this->aim,
            $this->least,
            $this->most,
            $pairs,
            $this->together,
            $this->classes ? ['class'] : [],
            array_filter($this->fixed, fn (int $g): bool => $g < $this->groups),
        );
    }
}
