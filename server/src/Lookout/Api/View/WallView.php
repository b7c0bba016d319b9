<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** What everybody in the room may see: never a name. */
final readonly class WallView
{
    /**
     * @param int                   $live    the last message of the channel that this holds
     * @param list<string>          $classes names
     * @param list<string>          $codes   of the classes, to join with
     * @param string|null           $entry   the question that is shown
     * @param string                $prompt  rich text
     * @param list<WallOptionView>  $options none where nothing is picked from
     * @param int                   $answered students who have answered it
     * @param int|null              $answeredFirst at the first count
     * @param WallClimbView|null    $climb   teams that climb, while they do
     * @param bool                  $byHands hands were raised and counted, instead of what stands on devices
     */
    public function __construct(
        public int $live,
        public string $title,
        public array $classes,
        public array $codes,
        public int $expected,
        public int $joined,
        public int $done,
        public ?string $entry,
        public int $number,
        public string $prompt,
        public array $options,
        public int $answered,
        public ?int $answeredFirst,
        public bool $byHands,
        public bool $keyShown,
        public ?WallClimbView $climb,
    ) {
    }
}
