<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use ChalkLadder\Core\Document\Node;

/**
 * What helps one student to take in and to answer, in every piece of work. All but the options left out changes nothing of what is
 * asked.
 */
final readonly class Support
{
    /** So many at most are left out of a question. */
    public const MOST_FEWER = 2;
    /** Per cent. */
    public const MOST_EXTRA_TIME = 100;

    /**
     * @param bool $readAloud    the device reads out what is asked
     * @param bool $largerText   letters begin at their largest
     * @param bool $lineFocus    a band that leaves a few lines light
     * @param bool $wordNotes    words that a source tells stand told beside it, not only where they are pressed
     * @param int  $fewerOptions distractors left out where one option is to be picked
     * @param int  $extraTime    per cent beyond the time that is set for the work
     */
    public function __construct(
        public bool $readAloud = false,
        public bool $largerText = false,
        public bool $lineFocus = false,
        public bool $wordNotes = false,
        public int $fewerOptions = 0,
        public int $extraTime = 0,
    ) {
    }

    public static function read(Node $node): self
    {
        $support = new self(
            $node->bool('readAloud', false),
            $node->bool('largerText', false),
            $node->bool('lineFocus', false),
            $node->bool('wordNotes', false),
            $node->int('fewerOptions', 0, self::MOST_FEWER, 0),
            $node->int('extraTime', 0, self::MOST_EXTRA_TIME, 0),
        );
        $node->rejectUnknown();

        return $support;
    }

    public function isNone(): bool
    {
        return $this->toArray() === [];
    }

    /** @return array<string, bool|int> only what is given */
    public function toArray(): array
    {
        return array_filter([
            'readAloud' => $this->readAloud,
            'largerText' => $this->largerText,
            'lineFocus' => $this->lineFocus,
            'wordNotes' => $this->wordNotes,
            'fewerOptions' => $this->fewerOptions,
            'extraTime' => $this->extraTime,
        ], static fn (bool|int $given): bool => $given !== false && $given !== 0);
    }
}
