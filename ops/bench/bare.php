<?php

// What a request costs that asks nothing of the application: the same web server, the same pool.
echo '{}';
