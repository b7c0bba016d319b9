<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\HoldsFiles;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Server\Platform\OpenApi\Shape;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\StoredSitting;

/** One response on its way from a device. */
final readonly class SaveInput
{
    private const LARGEST_COUNTER = 9_007_199_254_740_991;
    private const A_DAY = 86_400_000;

    /**
     * @param int      $counter    grows with each change on any of the student's devices; an older one never overwrites a newer
     * @param string   $clientId   names this save, so that a repeat is harmless
     * @param int|null $millis     how long the question has been in front of the student up to this answer, in milliseconds
     * @param Response|null $working what is shown beside the answer; null leaves what is stored
     * @param int|null $confidence how sure the student is: 1 guessing, 2 fairly sure, 3 sure
     */
    public function __construct(
        public string $entry,
        public int $try,
        #[Shape('Response')]
        public Response $value,
        public int $counter,
        public string $clientId,
        public ?int $millis = null,
        public ?int $confidence = null,
        #[Shape('WorkingResponse')]
        public ?Response $working = null,
    ) {
    }

    public static function read(Node $node): self
    {
        $save = new self(
            $node->text('entry', 36),
            $node->int('try', 1, PaperProof::MOST_TRIES, 1),
            ResponseReader::read($node->child('value')),
            $node->int('counter', 1, self::LARGEST_COUNTER),
            $node->text('clientId', 64),
            $node->intOrNull('millis', 0, self::A_DAY),
            $node->intOrNull('confidence', 1, 3),
            self::shown($node),
        );
        $node->rejectUnknown();

        return $save;
    }

    /** As it is to be stored; null when the paper of the sitting has no such question. */
    public function answerIn(StoredSitting $sitting): ?Answer
    {
        $own = $sitting->own($this->entry, $this->try);
        if ($own === null) {
            return null;
        }
        $value = $sitting->veil($this->entry)->uncover($own->item->rule, $this->value);

        return new Answer(
            $this->entry,
            $this->try,
            $value,
            $this->counter,
            false,
            $own->check($value),
            millis: $this->millis,
            confidence: $this->confidence,
            working: $own->item->working ? $this->working : null,
        );
    }

    private static function shown(Node $node): ?Response
    {
        if (!$node->has('working')) {
            return null;
        }
        $working = ResponseReader::read($node->child('working'));
        if (!$working instanceof HoldsFiles) {
            $node->fault('working', 'Working is drawn, photographed or written.');
        }

        return $working;
    }
}
