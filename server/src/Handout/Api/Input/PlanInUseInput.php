<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

/** A plan, and what it would be used with. */
final readonly class PlanInUseInput
{
    /**
     * @param array<string, mixed> $tells
     * @param string|null          $editionId the paper; null where none is chosen yet
     * @param bool                 $closes    a closing time is set
     */
    public function __construct(
        #[Shape('FeedbackPlan')]
        public array $tells = [],
        #[Assert\Uuid]
        #[Assert\NotBlank(allowNull: true)]
        public ?string $editionId = null,
        #[Assert\Range(min: 1, max: 20)]
        public int $attempts = 1,
        public bool $closes = true,
    ) {
    }
}
