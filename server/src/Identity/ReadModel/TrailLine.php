<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

/** An entry of the trail as it is listed. */
final readonly class TrailLine
{
    /** @param array<array-key, mixed> $detail */
    public function __construct(
        public string $id,
        public string $at,
        public string $act,
        public string $kind,
        public string $subjectId,
        public array $detail,
        public string $staffId,
        public string $staff,
    ) {
    }

    /** The same act of the same person on the same thing, on the same day. */
    public function isAlike(self $other): bool
    {
        return [$this->act, $this->subjectId, $this->staffId, substr($this->at, 0, 10)] === [
            $other->act,
            $other->subjectId,
            $other->staffId,
            substr($other->at, 0, 10),
        ];
    }

    public function number(string $key): int
    {
        return is_int($this->detail[$key] ?? null) ? $this->detail[$key] : 0;
    }

    public function text(string $key): string
    {
        return is_string($this->detail[$key] ?? null) ? $this->detail[$key] : '';
    }
}
