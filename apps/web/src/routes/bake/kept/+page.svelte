<!-- Nothing: it stands for pages that no server has made. -->
