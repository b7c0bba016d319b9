<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

/** A question as it stands in the editor, and what might be answered to it. */
final readonly class TryAllInput
{
    /**
     * @param array<string, mixed>       $item
     * @param list<array<string, mixed>> $responses
     */
    public function __construct(
        #[Shape('Item')]
        public array $item = [],
        #[Shape('Responses')]
        #[Assert\All([new Assert\NotNull(message: 'This is no answer.'), new Assert\Type('array', 'This is no answer.')])]
        #[Assert\Count(max: 60, maxMessage: 'At most 60 answers at once.')]
        public array $responses = [],
    ) {
    }
}
