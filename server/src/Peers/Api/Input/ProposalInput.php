<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ProposalInput
{
    /**
     * @param array<string, mixed> $question
     * @param int                  $version  the version that was changed; 0 for a new one
     */
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $invitationId = '',
        #[Shape('ProposedQuestion')]
        public array $question = [],
        public int $version = 0,
    ) {
    }
}
