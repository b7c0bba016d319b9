<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** What a student may see of a question before it is answered. Nothing here comes from a key. */
final readonly class FaceView
{
    /**
     * @param list<OptionFaceView> $options  in the order for this student
     * @param list<string>         $criteria names of what a marker will look for
     */
    public function __construct(
        public string $type,
        public string $prompt,
        public array $options,
        public bool $several,
        public string $unit,
        public string $unitUse,
        public array $criteria,
        public bool $hasHint,
        public bool $asksConfidence,
    ) {
    }
}
