<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A second mark for an answer that somebody else has marked: a rubric level for every criterion. */
final readonly class SecondMarkInput
{
    /** @param list<int> $levels index of the level for each criterion */
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $sittingId = '',
        #[Assert\Length(min: 1, max: 36)]
        public string $entry = '',
        #[Assert\Range(min: 1, max: 9)]
        public int $try = 1,
        #[Assert\Count(min: 1, max: 8, minMessage: 'Pick a level for every criterion.')]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('int'), new Assert\Range(min: 0, max: 20)])]
        public array $levels = [],
    ) {
    }
}
