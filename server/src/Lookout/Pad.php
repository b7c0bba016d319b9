<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

/** What is known of one answer pad. */
final readonly class Pad
{
    public const LOW = 0.2;

    /**
     * @param string|null $student id; null where it has not been given out
     * @param array<int, int> $last number of the last press that was heard, by question; presses are counted by the pad
     * @param string|null $at      when
     * @param float|null  $battery 0…1, as the pad said last
     * @param int         $strays  presses while nobody had it
     */
    public function __construct(
        public ?string $student = null,
        public array $last = [],
        public ?string $at = null,
        public ?float $battery = null,
        public int $strays = 0,
    ) {
    }

    public static function read(mixed $stored): self
    {
        $stored = is_array($stored) ? $stored : [];

        return new self(
            is_string($stored['student'] ?? null) ? $stored['student'] : null,
            self::numbers($stored['last'] ?? null),
            is_string($stored['at'] ?? null) ? $stored['at'] : null,
            is_numeric($stored['battery'] ?? null) ? (float) $stored['battery'] : null,
            is_int($stored['strays'] ?? null) ? $stored['strays'] : 0,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'student' => $this->student,
            'last' => $this->last === [] ? (object) [] : $this->last,
            'at' => $this->at,
            'battery' => $this->battery,
            'strays' => $this->strays,
        ];
    }

    public function of(?string $student): self
    {
        return new self($student, $this->last, $this->at, $this->battery, $student === null ? $this->strays : 0);
    }

    /** What is heard twice counts once, and what comes late at a question never. */
    public function isNew(int $question, int $press): bool
    {
        return $press > ($this->last[$question] ?? 0);
    }

    public function heard(int $question, int $press, string $at, ?float $battery): self
    {
        $last = [$question => $press] + $this->last;

        return new self($this->student, $last, $at, $battery ?? $this->battery, $this->strays + ($this->student === null ? 1 : 0));
    }

    /** @return array<int, int> */
    private static function numbers(mixed $stored): array
    {
        $numbers = [];
        foreach (is_array($stored) ? $stored : [] as $question => $press) {
            if (is_int($press)) {
                $numbers[(int) $question] = $press;
            }
        }

        return $numbers;
    }
}
