<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Server\Platform\Http\ReadsDocument;
use ChalkLadder\Server\Platform\OpenApi\Shape;

/** A preview has no state on the server: the device sends all that was done so far. */
final readonly class PreviewInput implements ReadsDocument
{
    private const MOST = 300;

    /**
     * @param list<SaveInput> $saves   every answer so far
     * @param list<StepInput> $settled the steps that were settled
     * @param list<StepInput> $hints   a line for each hint that was opened
     * @param int             $left    how many passes have been left
     * @param string|null     $student as whom it is seen, with their support
     */
    public function __construct(
        #[Shape('FeedbackPlan')]
        public FeedbackPlan $feedback,
        public array $saves = [],
        public array $settled = [],
        public array $hints = [],
        public int $left = 0,
        public bool $handedIn = false,
        public ?string $student = null,
    ) {
    }

    public static function read(Node $node): self
    {
        return new self(
            FeedbackPlan::read($node->childOrEmpty('feedback')),
            array_map(SaveInput::read(...), $node->children('saves', self::MOST)),
            array_map(StepInput::read(...), $node->children('settled', self::MOST)),
            array_map(StepInput::read(...), $node->children('hints', self::MOST)),
            $node->int('left', 0, 200, 0),
            $node->bool('handedIn', false),
            $node->textOrNull('student', 36),
        );
    }
}
