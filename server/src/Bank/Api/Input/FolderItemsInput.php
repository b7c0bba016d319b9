<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Bank\ManyQuestions;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class FolderItemsInput
{
    /**
     * @param list<string> $put  ids of questions that are to lie in the folder
     * @param list<string> $take ids of those that are not to
     */
    public function __construct(
        #[Assert\Count(max: ManyQuestions::MOST, maxMessage: 'At most 200 questions at once.')]
        #[Assert\All([new Assert\NotBlank(), new Assert\Uuid()])]
        public array $put = [],
        #[Assert\Count(max: ManyQuestions::MOST, maxMessage: 'At most 200 questions at once.')]
        #[Assert\All([new Assert\NotBlank(), new Assert\Uuid()])]
        public array $take = [],
    ) {
    }
}
