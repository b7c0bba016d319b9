<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

final readonly class OutboxLineView
{
    public function __construct(
        public string $id,
        public string $to,
        public string $subject,
        public string $body,
        public string $sentBy,
        public string $sentAt,
    ) {
    }
}
