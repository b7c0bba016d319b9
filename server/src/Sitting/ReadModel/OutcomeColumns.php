<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Server\Platform\Storage\Type\UuidListType;

/** What a machine made of an answer, as it is stored. */
final readonly class OutcomeColumns
{
    /** Characters; how an answer was read is for the eye. */
    private const LONGEST_READING = 500;

    /** @param list<string> $misconceptions ids */
    private function __construct(
        public ?string $credit,
        public string $verdict,
        public string $line,
        public string $readAs,
        public array $misconceptions,
    ) {
    }

    public static function of(Outcome $outcome): self
    {
        return new self(
            $outcome->credit === null ? null : (string) $outcome->credit,
            $outcome->verdict->value,
            $outcome->line,
            mb_substr($outcome->readAs, 0, self::LONGEST_READING),
            $outcome->misconceptions,
        );
    }

    /** @return array{c: string|null, d: string, l: string, r: string, m: string} for the statements that write many at once */
    public function short(): array
    {
        return [
            'c' => $this->credit,
            'd' => $this->verdict,
            'l' => $this->line,
            'r' => $this->readAs,
            'm' => UuidListType::write($this->misconceptions),
        ];
    }
}
