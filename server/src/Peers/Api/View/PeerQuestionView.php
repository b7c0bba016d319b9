<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

/** Somebody else’s question. Which option is right, and why others are wrong, is told to whoever has answered, and to nobody before. */
final readonly class PeerQuestionView
{
    /**
     * @param string|null  $by      its writer, where the teacher names them
     * @param list<string> $options
     * @param int|null     $picked  what the reader took to be right
     * @param int|null     $key     place of the right one, once the reader has answered
     * @param string       $why     why somebody would take what the reader picked; '' where that is right, or before
     * @param string       $because why the right one is right; '' before
     */
    public function __construct(
        public string $id,
        public int $version,
        public ?string $by,
        public string $prompt,
        public array $options,
        public ?int $picked,
        public ?int $key,
        public string $why,
        public string $because,
    ) {
    }
}
