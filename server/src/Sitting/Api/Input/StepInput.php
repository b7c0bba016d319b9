<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Paper\PaperProof;
use Symfony\Component\Validator\Constraints as Assert;

/** Names one step of a sitting. */
final readonly class StepInput
{
    public function __construct(
        #[Assert\Length(min: 1, max: 36)]
        public string $entry = '',
        #[Assert\Range(min: 1, max: PaperProof::MOST_TRIES)]
        public int $try = 1,
    ) {
    }

    public static function read(Node $node): self
    {
        $step = new self($node->text('entry', 36), $node->int('try', 1, PaperProof::MOST_TRIES, 1));
        $node->rejectUnknown();

        return $step;
    }
}
