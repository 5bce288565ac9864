<p>One moment …</p>
