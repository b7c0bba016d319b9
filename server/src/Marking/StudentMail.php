<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use Symfony\Component\Mime\Email;

/** Words to one student about one handout. Students have no address of their own: a name that nobody can reach stands for it (RFC 2606). */
final class StudentMail extends Email
{
    public function __construct(
        public readonly string $teamId,
        public readonly string $studentId,
        public readonly string $handoutId,
        public readonly string $sentBy,
        string $subject,
        string $body,
    ) {
        parent::__construct();
        $this->from('team@chalk-ladder.invalid')->to($studentId.'@students.invalid')->subject($subject)->text($body);
    }
}
