<p>Nothing</p>
