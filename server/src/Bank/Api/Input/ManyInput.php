<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Bank\ManyQuestions;
use Symfony\Component\Validator\Constraints as Assert;

/** Several questions, chosen in the bank's list. */
final readonly class ManyInput
{
    /** @param list<string> $ids */
    public function __construct(
        #[Assert\Count(min: 1, max: ManyQuestions::MOST, minMessage: 'Choose a question first.', maxMessage: 'At most 200 questions at once.')]
        #[Assert\All([new Assert\NotBlank(), new Assert\Uuid()])]
        public array $ids = [],
    ) {
    }
}
