<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** So many questions of one kind, one after the other. */
final readonly class OnPaperLineInput
{
    public const KINDS = ['choice', 'number', 'text'];

    /**
     * @param string $kind    choice, number, text
     * @param int    $options letters to pick from, A, B …; of a choice alone
     * @param string $points  marks for each
     */
    public function __construct(
        #[Assert\Range(min: 1, max: OnPaperInput::MOST)]
        public int $count = 1,
        #[Assert\Choice(choices: self::KINDS)]
        public string $kind = 'choice',
        #[Assert\Range(min: 2, max: 8, notInRangeMessage: 'From {{ min }} to {{ max }} letters.')]
        public int $options = 4,
        #[Assert\NotBlank(message: 'How many marks?')]
        #[Assert\Regex(pattern: '/^(?!0+(\.0+)?$)\d{1,3}(\.\d{1,2})?$/D', message: 'Marks are a number, such as 1 or 0.5.')]
        public string $points = '1',
    ) {
    }
}
