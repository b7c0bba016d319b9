<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Bank\ManyQuestions;
use Symfony\Component\Validator\Constraints as Assert;

/** Several questions that are to be copied. */
final readonly class CopyInput
{
    /**
     * @param list<string> $ids
     * @param string       $requestId made by the client, so that a lost answer, asked for again, copies them once
     */
    public function __construct(
        #[Assert\Count(min: 1, max: ManyQuestions::MOST, minMessage: 'Choose a question first.', maxMessage: 'At most 200 questions at once.')]
        #[Assert\All([new Assert\NotBlank(), new Assert\Uuid()])]
        public array $ids = [],
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $requestId = '',
    ) {
    }
}
