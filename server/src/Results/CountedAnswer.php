<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Item\Picks;
use ChalkLadder\Core\Item\Response;

/** One student's answer to one question in one attempt, over its tries. */
final readonly class CountedAnswer
{
    /**
     * The first try says what a student thought; later ones only add to the credit.
     *
     * @param array<int, float|null> $credits        by try; null waits for a marker
     * @param list<string>           $options        picked at the first try
     * @param list<string>           $misconceptions shown at the first try
     * @param Response|null          $response       of the first try, where it was asked for
     */
    public function __construct(
        public array $credits,
        public array $options,
        public string $readAs,
        public string $verdict,
        public string $line,
        public array $misconceptions,
        public ?int $millis,
        public ?int $confidence,
        public ?Response $response = null,
    ) {
    }

    /**
     * What was picked of these.
     *
     * @param list<string> $ids
     *
     * @return list<string>
     */
    public function picksOf(array $ids): array
    {
        return Picks::among($this->options, $this->line, $ids);
    }
}
