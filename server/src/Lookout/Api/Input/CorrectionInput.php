<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

/** Another answer in the place of what was given. */
final readonly class CorrectionInput
{
    /**
     * @param string               $id    made by the client, so that one sent twice is done once
     * @param array<string, mixed> $value the answer, under the names as they are written
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $id = '',
        #[Assert\NotBlank]
        #[Assert\Length(max: 36)]
        public string $entry = '',
        #[Assert\Range(min: 1, max: PaperProof::MOST_TRIES)]
        public int $try = 1,
        #[Shape('Response')]
        public array $value = [],
        #[Assert\NotBlank(message: 'Say why, for whoever reads it later.', normalizer: 'trim')]
        #[Assert\Length(max: 300, maxMessage: 'Keep it to {{ limit }} letters.')]
        public string $why = '',
    ) {
    }
}
