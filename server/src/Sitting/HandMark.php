<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;

/** What a person gives to an answer. A null credit takes an earlier mark by hand back. */
final readonly class HandMark
{
    /**
     * @param list<int|null>|null $levels         index of the level for each criterion of a rubric
     * @param list<string>        $misconceptions ids of what the answer is evidence of
     * @param string              $by             staff id
     */
    public function __construct(
        public ?BigRational $credit,
        public ?array $levels,
        public string $comment,
        public array $misconceptions,
        public string $by,
        public \DateTimeImmutable $at,
    ) {
    }
}
