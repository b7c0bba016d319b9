<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A mark by hand: rubric levels for an open answer, or a credit that overrides the machine. Neither takes the hand mark back. */
final readonly class MarkInput
{
    /**
     * @param list<int|null>|null $levels      index of the level for each criterion
     * @param string|null         $credit      0…1 as an exact number
     * @param int                 $markVersion the mark that was on the screen
     */
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $sittingId = '',
        #[Assert\Length(min: 1, max: 36)]
        public string $entry = '',
        #[Assert\Range(min: 1, max: 9)]
        public int $try = 1,
        #[Assert\Count(max: 8)]
        #[Assert\All([new Assert\Type('int'), new Assert\Range(min: 0, max: 20)])]
        public ?array $levels = null,
        #[Assert\Regex(pattern: Credit::PATTERN, message: Credit::MESSAGE)]
        #[Assert\NotBlank(allowNull: true, message: Credit::MESSAGE)]
        public ?string $credit = null,
        #[Assert\Length(max: 2000, maxMessage: 'At most {{ limit }} characters.')]
        public string $comment = '',
        public int $markVersion = 0,
    ) {
    }
}
