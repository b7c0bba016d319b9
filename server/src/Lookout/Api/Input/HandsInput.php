<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** How many hands were raised for each option, before and after a talk. */
final readonly class HandsInput
{
    private const MOST = 500;

    /**
     * @param array<string, int>      $first by letter
     * @param array<string, int>|null $now   after the talk; null before it
     */
    public function __construct(
        #[Assert\Count(min: 1, max: 40, minMessage: 'Count at least one option.')]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('int'), new Assert\Range(min: 0, max: self::MOST)])]
        public array $first = [],
        #[Assert\Count(min: 1, max: 40)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('int'), new Assert\Range(min: 0, max: self::MOST)])]
        public ?array $now = null,
    ) {
    }
}
