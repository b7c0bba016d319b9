<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use ChalkLadder\Server\Platform\Http\Problem;
use Symfony\Component\Clock\ClockInterface;

/** A short-lived, signed leave to read one paper, for the browser that turns a print page into a PDF. */
final readonly class PrintTicket
{
    private const SECONDS = 60;

    public function __construct(private string $secret, private ClockInterface $clock)
    {
    }

    public function issue(string $teamId, string $paperId): string
    {
        $until = $this->clock->now()->getTimestamp() + self::SECONDS;

        return $teamId.'.'.$until.'.'.$this->sign($teamId, $paperId, $until);
    }

    /** @return string the team whose paper may be read */
    public function check(string $ticket, string $paperId): string
    {
        [$teamId, $until, $signature] = explode('.', $ticket.'..', 4);
        if ((int) $until < $this->clock->now()->getTimestamp() || !hash_equals($this->sign($teamId, $paperId, (int) $until), $signature)) {
            throw new Problem(401, 'This print leave has run out.', 'Ask for the PDF again.');
        }

        return $teamId;
    }

    private function sign(string $teamId, string $paperId, int $until): string
    {
        return hash_hmac('sha256', "print|$teamId|$paperId|$until", $this->secret);
    }
}
