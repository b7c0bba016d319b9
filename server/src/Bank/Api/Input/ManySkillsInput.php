<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Bank\ManyQuestions;
use Symfony\Component\Validator\Constraints as Assert;

/** What each of several questions is evidence of from now on. */
final readonly class ManySkillsInput
{
    /** @param array<string, string|null> $skills a skill's id or null, by question */
    public function __construct(
        #[Assert\Count(min: 1, max: ManyQuestions::MOST, minMessage: 'Choose a question first.', maxMessage: 'At most 200 questions at once.')]
        #[Assert\All([new Assert\AtLeastOneOf([new Assert\IsNull(), new Assert\Uuid()])])]
        public array $skills = [],
    ) {
    }
}
