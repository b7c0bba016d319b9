<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class KeptPlanInput
{
    /** @param array<string, mixed> $tells */
    public function __construct(
        #[Assert\NotBlank(message: 'Give it a name.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Shape('FeedbackPlan')]
        public array $tells = [],
    ) {
    }
}
